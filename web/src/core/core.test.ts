import { beforeEach, describe, expect, it } from 'vitest';
import { EMPTY_RUN, lettering, scene } from '../testing';
import * as core from './core';
import type { SceneDoc } from './document';

function giveRuns(doc: SceneDoc): void {
  const answer = core.open(doc);
  if (answer.kind !== 'missing') return;
  const run = {
    ...EMPTY_RUN,
    outlines: ['M0.1 0V-0.7H0.4V0Z'],
    clusters: [{ text: 'x', advance: 0.5, glyphs: [0, 0, 0], borrowed: '', missing: false }],
  };
  answer.missing.forEach((m) => core.putRun(m.key, JSON.stringify(run)));
}

describe('the compiled core', () => {
  const doc = scene({ items: [lettering({ text: 'x' })] });
  beforeEach(() => giveRuns(doc));

  it('asks for what has to be shaped, once', () => {
    const other = scene({ items: [lettering({ text: `${Math.random()}` })] });
    const asked = core.open(other);
    expect(asked.kind === 'missing' && asked.missing[0]?.face).toBe('fraunces');
    giveRuns(other);
    expect(core.open(other).kind).toBe('open');
  });

  it('tells paths, poses and findings of an open scene', () => {
    const opened = core.open(doc);
    expect(opened.kind).toBe('open');
    if (opened.kind !== 'open') return;
    expect(opened.summary.frames).toBe(100);
    expect(opened.summary.paths.p).toMatchObject({
      d: 'M100 300L900 300',
      length: 800,
      closed: false,
      moves: false,
    });
    expect(opened.summary.poses.map((p) => p.label)).toEqual(['First', 'Last']);
    expect(core.findings(0)).toEqual([]);
    expect(core.findings(1000)).toBeNull();
  });

  it('gives a frame as numbers', () => {
    core.open(doc);
    // Neither sign of a zero matters.
    const n = [...core.frame(0)].map((v) => v + 0);
    // A plain fill of ten numbers, then its paint and its one outline.
    expect(n.slice(0, 5)).toEqual([0, 10, 0, 1, 0x1f2b37]);
    expect(n.slice(5)).toEqual([0, 100, 0, 0, 100, 100, 300]);
    expect(core.outlineCount()).toBe(1);
    expect([...core.outline(0)].slice(0, 3)).toEqual([0, 0.1, 0]);
  });

  it('tells problems by field and keeps the scene that was open', () => {
    core.open(doc);
    const bad = core.open({ ...doc, length: -1 });
    expect(bad.kind === 'problems' && bad.problems[0]?.path).toBe('$.length');
    expect(core.frame(0).length).toBe(12);
  });

  it('tells what is wrong with an edit instead of throwing', () => {
    expect(
      core.edit(doc, { op: 'set', item: 'nobody', channel: 'size', time: 0, value: 1 }),
    ).toHaveProperty('error');
    const nonsense = { op: 'nonsense', path: 'p' } as unknown as core.Edit;
    expect(core.edit(doc, nonsense)).toHaveProperty('error');
    const wrong = { op: 'set', item: 'l', channel: 'size', time: 0, value: 'much' };
    expect(core.edit(doc, wrong as unknown as core.Edit)).toEqual({
      problems: [expect.objectContaining({ path: '$.value', reason: 'is not a number: "much"' })],
    });
    expect(core.editDone({ op: 'removeKeys', item: 'l', channel: 'size' })).toBe(
      'Removed keyframes',
    );
  });

  it('drags the puck and the stops', () => {
    core.open(doc);
    expect(core.dragPuck('l', 0, 400, 290, false)).toMatchObject({
      baselineShift: 0,
      side: 'left',
    });
    expect(core.dragPuck('l', 0, 400, 290, true).baselineShift).toBeCloseTo(10, 6);
    expect(core.dragStop('l', true, 0, 350, 300)).toBeCloseTo(250, 4);
    expect([...core.handles('l', 0)].slice(0, 3)).toEqual([100, 300, 0]);
    expect(core.itemAt(125, 280, 0, 1)).toBe('l');
    expect(core.itemAt(500, 280, 0, 1)).toBe('');
  });

  it('charts the journey', () => {
    core.open(doc);
    expect([...core.band('l', 0)]).toEqual([0, 50]);
    expect(core.charted('l', 'pathOffset', 1)).toBe(0);
    expect(core.speed('l', 'pathOffset', 1)).toBe(0);
    expect(core.journey('l', 'size', 2)[1]).toBe(100);
    expect([...core.outside('l', 0, 800)]).toEqual([]);
    expect(core.marks('p', 2, 0)[0]).toBeCloseTo(300, 6);
  });
});

it('has every function that is declared of it', async () => {
  const declared = (await import('./generated.d.ts?raw')).default as string;
  const names = [...declared.matchAll(/export function (\w+)\(/g)].map((m) => m[1]!);
  const bridge: Record<string, unknown> = await import('./generated/core.js');
  expect(names.length).toBeGreaterThan(40);
  expect(names.filter((n) => typeof bridge[n] !== 'function')).toEqual([]);
  expect(Object.keys(bridge).filter((n) => n !== 'main' && !names.includes(n))).toEqual([]);
});
