import { beforeEach, describe, expect, it, vi } from 'vitest';
import { letteringsOf } from './items';
import type { Knot, Pair } from '../core/document';
import { EMPTY_RUN, scene } from '../testing';
import * as core from '../core/core';
import {
  beginGesture,
  endGesture,
  pathOf,
  showScene,
  undo,
  useEditor,
  type Drawing,
} from './editor';
import { changeLettering } from './values';
import {
  addPath,
  addTemplate,
  changeTemplate,
  choosePath,
  deletePoints,
  drawnSoFar,
  editPath,
  finishDrawing,
  importPaths,
  kindWord,
  pointsOf,
  previewPath,
  removeTemplate,
  startDrawing,
} from './paths';

const state = () => useEditor.getState();
const paths = () => state().doc!.paths;
const knot = (x: number, y = 0): Knot => ({ x, y, in: [0, 0], out: [0, 0], kind: 'corner' });
const draw = (mode: Drawing['mode'], knots: Knot[], auto = false) => {
  startDrawing(mode);
  useEditor.setState({ drawing: { mode, knots, auto } });
};

beforeEach(() => {
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    if (url === '/api/images') {
      return new Response(JSON.stringify({ id: 'image', width: 500, height: 100 }));
    }
    const asked = JSON.parse(String(init?.body ?? '[]')) as unknown[];
    return new Response(JSON.stringify(asked.map(() => EMPTY_RUN)));
  });
  showScene('s', 'project', scene());
  return vi.waitFor(() => expect(state().summary?.items.l).toBeDefined());
});

describe('drawing', () => {
  it('takes two points or more for a curve', () => {
    draw('curve', [knot(0)]);
    finishDrawing(false);
    expect(paths()).toHaveLength(1);
    draw('curve', [knot(0), knot(90)]);
    finishDrawing(true);
    expect(paths()[1]).toMatchObject({ kind: 'drawn', closed: true, name: 'Curve 1' });
    expect(letteringsOf(state().doc)[0]?.path).toBe(paths()[1]?.id);
    expect(pathOf(state())?.id).toBe(paths()[1]?.id);
  });

  it('keeps points, strokes and self-smoothed curves as what they are', () => {
    const row = [knot(0), knot(100, 50), knot(200)];
    draw('smooth', row);
    finishDrawing(false);
    expect(paths().at(-1)).toMatchObject({
      kind: 'smooth',
      points: [
        [0, 0],
        [100, 50],
        [200, 0],
      ],
    });
    draw('freehand', row);
    finishDrawing(false);
    expect(paths().at(-1)).toMatchObject({ kind: 'freehand', steadiness: 30 });
    draw('curve', row, true);
    finishDrawing(false);
    const smooth = paths().at(-1)!;
    expect(smooth.kind === 'drawn' && smooth.points[1]?.out).not.toEqual([0, 0]);
    expect(drawnSoFar({ mode: 'curve', knots: [], auto: false }, false)).toBeNull();
  });
});

describe('the chosen path', () => {
  it('is that of the lettering unless another is chosen', () => {
    addPath('newShape', { kind: 'star', seat: '' });
    const star = pathOf(state())!;
    expect(star.kind).toBe('star');
    expect(kindWord(star)).toBe('Star');
    choosePath('p');
    expect(pathOf(state())?.id).toBe('p');
    expect(kindWord(pathOf(state())!)).toBe('2 points');
    undo();
    expect(paths()).toHaveLength(1);
  });

  it('loses the chosen points, but never all', () => {
    editPath('insert', { x: 500, y: 300 });
    useEditor.setState({ points: [1] });
    deletePoints();
    expect(pointsOf(pathOf(state())!, 0)).toHaveLength(2);
    expect(state().points).toEqual([]);
    useEditor.setState({ points: [0, 1] });
    deletePoints();
    expect(pointsOf(pathOf(state())!, 0)).toHaveLength(2);
  });

  it('is edited at the playhead when it changes shape over time', () => {
    editPath('changeShape', { on: true });
    useEditor.setState({ time: 2 });
    editPath('movePoint', { index: 0, x: 0, y: 0 });
    const path = pathOf(state())!;
    expect(pointsOf(path, 0)[0]).toMatchObject({ x: 100, y: 300 });
    expect(pointsOf(path, 2)[0]).toMatchObject({ x: 0, y: 0 });
    expect(state().summary?.paths.p?.moves).toBe(true);
    const found = [];
    for (let i = 0, part; (part = core.findings(i)) !== null; i++) found.push(...part);
    expect(found.some((f) => f.message.includes('changes shape'))).toBe(true);
  });
});

it('takes in paths from elsewhere and seats the lettering on the first', () => {
  const found = { d: 'M0 0L50 0', closed: false, length: 50, picture: '' };
  importPaths([found, { ...found, name: 'Two' }], true);
  expect(paths().map((p) => p.name)).toEqual(['Line', 'Path 1', 'Two']);
  expect(letteringsOf(state().doc)[0]?.path).toBe(paths()[1]?.id);
  const middle = (pointsOf(paths()[1]!, 0) as Knot[]).map((k): Pair => [k.x, k.y]);
  expect(middle[0]?.[1]).toBe(300);
});

it('puts a picture under the lines, in the frame', async () => {
  await addTemplate(new File(['x'], 'harbour.png'));
  const t = state().doc!.templates[0]!;
  expect(t).toMatchObject({
    name: 'harbour.png',
    image: 'image',
    width: 1000,
    height: 200,
    y: 200,
  });
  changeTemplate(t.id, { opacity: 20 });
  expect(state().doc!.templates[0]?.opacity).toBe(20);
  expect(changeTemplate(t.id, { opacity: 200 })[0]?.path).toBe('$.opacity');
  removeTemplate(t.id);
  expect(state().doc!.templates).toEqual([]);
});

describe('a point being dragged', () => {
  const move = (x: number, y: number) => previewPath('movePoint', { index: 0, x, y }, 'move-point');

  it('is shown at once, and made in one step when the drag ends', () => {
    const before = state().doc;
    const steps = state().past.length;
    beginGesture();
    move(200, 300);
    move(300, 250);
    expect(state().doc).toBe(before);
    expect(state().previewing).toBe(true);
    expect(core.lineData('p', 0)).toMatch(/^M300 250C/);
    expect([...core.points('p', 0)].slice(0, 2)).toEqual([300, 250]);
    endGesture();
    expect(state().previewing).toBe(false);
    expect(pointsOf(paths()[0]!, 0)[0]).toMatchObject({ x: 300, y: 250 });
    expect(state().past).toHaveLength(steps + 1);
    undo();
    expect(state().doc).toBe(before);
    expect(core.lineData('p', 0)).toMatch(/^M100 300C/);
  });

  it('is made when the pointer rests, and the whole drag stays one step', () => {
    vi.useFakeTimers();
    const steps = state().past.length;
    beginGesture();
    move(200, 300);
    vi.advanceTimersByTime(4000);
    expect(pointsOf(paths()[0]!, 0)[0]).toMatchObject({ x: 200 });
    move(210, 300);
    endGesture();
    vi.useRealTimers();
    expect(pointsOf(paths()[0]!, 0)[0]).toMatchObject({ x: 210 });
    expect(state().past).toHaveLength(steps + 1);
  });

  it('is made before anything else is changed', () => {
    beginGesture();
    move(200, 300);
    changeLettering('l', { size: 50 });
    expect(pointsOf(paths()[0]!, 0)[0]).toMatchObject({ x: 200 });
    expect(letteringsOf(state().doc)[0]!.size).toBe(50);
  });

  it('is not left on show where it is refused', () => {
    beginGesture();
    move(1e9, 300);
    endGesture();
    expect(pointsOf(paths()[0]!, 0)[0]).toMatchObject({ x: 100 });
    expect(core.lineData('p', 0)).toMatch(/^M100 300C/);
    expect(state().previewing).toBe(false);
  });

  it('changes nothing where the edit is none', () => {
    beginGesture();
    previewPath('movePoint', { index: 7, x: 1, y: 1 }, 'move-point');
    expect(state().previewing).toBe(false);
    endGesture();
  });
});
