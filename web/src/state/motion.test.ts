import { beforeEach, describe, expect, it, vi } from 'vitest';
import * as core from '../core/core';
import { EMPTY_RUN, scene } from '../testing';
import {
  applyEdit,
  beginGesture,
  endGesture,
  previewKeys,
  showScene,
  undo,
  useEditor,
} from './editor';
import { useNotices } from './notices';

const state = () => useEditor.getState();
const keys = () => state().summary!.items.l!.channels.pathOffset ?? [];
const times = () => keys().map((k) => k.time);
const at = { item: 'l', channel: 'pathOffset' } as const;

beforeEach(async () => {
  vi.stubGlobal('fetch', async (_: string, init?: RequestInit) => {
    const asked = JSON.parse(String(init?.body ?? '[]')) as unknown[];
    return new Response(JSON.stringify(asked.map(() => EMPTY_RUN)));
  });
  useNotices.setState({ notices: [] });
  showScene('s', 'project', scene());
  await vi.waitFor(() => expect(state().summary?.items.l).toBeDefined());
  for (const [time, value] of [
    [0, 0],
    [1, 100],
    [2, 400],
  ]) {
    applyEdit({ op: 'key', ...at, time: time!, value: value! });
  }
  endGesture();
});

describe('several keyframes', () => {
  it('are moved together, by frames and never before the start', () => {
    applyEdit({ op: 'moveKeys', ...at, indexes: [1, 2], by: 0.51 });
    expect(times()).toEqual([0, 1.52, 2.52]);
    undo();
    expect(times()).toEqual([0, 1, 2]);
  });

  it('are mirrored in time and swapped in value', () => {
    applyEdit({ op: 'stretchKeys', ...at, indexes: [0, 1, 2], about: 0, factor: 1.5 });
    expect(times()).toEqual([0, 1.52, 3]);
    applyEdit({ op: 'mirrorKeys', ...at, indexes: [0, 1, 2] });
    expect(keys().map((k) => k.value)).toEqual([400, 100, 0]);
    expect(times()).toEqual([0, 1.48, 3]);
  });

  it('are copied and pasted onward', () => {
    const copied = core.copyKeys('l', 'pathOffset', [0, 1]);
    applyEdit({ op: 'pasteKeys', ...at, time: 3, keys: copied, onward: true });
    expect(times()).toEqual([0, 1, 2, 3, 4]);
    // Onward: the copy goes on from the value that is there.
    expect(keys()[4]!.value - keys()[3]!.value).toBe(100);
  });
});

describe('the speed at the ends of a segment', () => {
  it('is set while the other end keeps its own', () => {
    expect([...core.endSpeeds('l', 'pathOffset', 1)]).toEqual([300, 300]);
    applyEdit({ op: 'speed', ...at, index: 1, arriving: false, value: 40 });
    const [leaving, arriving] = core.endSpeeds('l', 'pathOffset', 1);
    expect(leaving).toBeCloseTo(40, 4);
    expect(arriving).toBeCloseTo(300, 4);
    expect(keys()[1]?.easing).toBe('own');
  });

  it('is told to be none where nothing is on the way', () => {
    expect([...core.endSpeeds('l', 'pathOffset', 2)]).toEqual([]);
    applyEdit({ op: 'ease', ...at, index: 0, easing: 'hold' });
    expect([...core.endSpeeds('l', 'pathOffset', 0)]).toEqual([]);
    applyEdit({ op: 'speed', ...at, index: 0, value: 40 });
    expect(useNotices.getState().notices.at(-1)?.text).toMatch(/has a speed to set/);
  });
});

describe('a keyframe being dragged', () => {
  it('is on the chart at once and in the document when the drag ends', () => {
    const [before, steps, others] = [state().doc, state().past.length, keys()];
    beginGesture();
    previewKeys({ op: 'move', ...at, index: 1, time: 1.2, value: 150 }, 'ring');
    previewKeys({ op: 'move', ...at, index: 1, time: 1.4, value: 180 }, 'ring');
    expect(times()).toEqual([0, 1.4, 2]);
    expect(core.value('l', 'pathOffset', 1.4)).toBe(180);
    expect(state().doc).toBe(before);
    // The others are the very same: the chart draws only the one anew.
    expect(keys()[0]).toBe(others[0]);
    expect(keys()[2]).toBe(others[2]);
    endGesture();
    expect(times()).toEqual([0, 1.4, 2]);
    expect(state().past).toHaveLength(steps + 1);
    undo();
    expect(times()).toEqual([0, 1, 2]);
  });

  it('goes past its neighbour', () => {
    beginGesture();
    previewKeys({ op: 'move', ...at, index: 1, time: 2.6 }, 'ring');
    expect(times()).toEqual([0, 2, 2.6]);
    expect(keys().map((k) => k.value)).toEqual([0, 400, 100]);
    previewKeys({ op: 'move', ...at, index: 1, time: 0.4 }, 'ring');
    expect(keys().map((k) => k.value)).toEqual([0, 100, 400]);
    endGesture();
  });

  it('gives its segment another easing', () => {
    beginGesture();
    previewKeys({ op: 'ease', ...at, index: 0, easing: [0.2, 0, 0.3, 1] }, 'bend');
    expect(keys()[0]).toMatchObject({ easing: 'own', curve: [0.2, 0, 0.3, 1] });
    endGesture();
    expect(keys()[0]).toMatchObject({ easing: 'own', curve: [0.2, 0, 0.3, 1] });
  });
});

describe('cues', () => {
  it('take the keyframes that follow them along', () => {
    applyEdit({ op: 'addCue', id: 'c', time: 2 });
    applyEdit({ op: 'follows', ...at, index: 2, cue: 'c' });
    expect(keys()[2]?.cue).toBe('c');
    applyEdit({ op: 'cue', cue: 'c', time: 3 });
    expect(times()).toEqual([0, 1, 3]);
    applyEdit({ op: 'deleteCue', cue: 'c' });
    expect(times()).toEqual([0, 1, 3]);
    expect(keys()[2]?.cue).toBeUndefined();
  });

  it('come from a caption file, and a broken file is told', () => {
    const text = 'WEBVTT\n\n00:01.000 --> 00:02.000\nKites up\n';
    applyEdit({ op: 'importCues', id: 'f', text });
    expect(state().doc!.cues?.map((c) => [c.name, c.time])).toEqual([['Kites up', 1]]);
    applyEdit({ op: 'importCues', id: 'g', text: 'nothing of the sort' });
    expect(state().doc!.cues).toHaveLength(1);
    expect(useNotices.getState().notices.at(-1)?.tone).toBe('error');
  });
});

describe('recipes', () => {
  it('write motion that can be undone and tuned', () => {
    applyEdit({ op: 'recipe', item: 'l', kind: 'enter-hold-leave', enter: 1, hold: 1, leave: 1 });
    expect(times()).toEqual([0, 1, 2, 3]);
    expect(keys().map((k) => k.landing)).toEqual(['out-before', 'at-rest', 'at-rest', 'out-after']);
    undo();
    expect(times()).toEqual([0, 1, 2]);
  });

  it('leave an item that is not there alone', () => {
    expect(applyEdit({ op: 'recipe', item: 'nobody', kind: 'endless-lap' })).toEqual([]);
    expect(useNotices.getState().notices.at(-1)?.tone).toBe('error');
  });
});
