import { beforeEach, expect, it } from 'vitest';
import type { DrawnPath } from '../core/document';
import { scene } from '../testing';
import { undo, useEditor } from './editor';
import { reframe } from './frames';
import { letteringsOf } from './items';

const now = () => useEditor.getState().doc!;
const size = () => letteringsOf(now())[0]!.size;
const begins = () => {
  const { x, y } = (now().paths[0] as DrawnPath).points[0]!;
  return [x, y];
};

beforeEach(() => {
  const doc = scene({ width: 1920, height: 1080 });
  useEditor.setState({ doc, past: [], future: [] });
});

it('scales what is in it, and comes back to what there was while nothing else is changed', () => {
  const before = now();
  expect(reframe([1080, 1080], 'scaled')).toEqual([]);
  expect(size()).toBe(56.25);
  expect(begins()).toEqual([100 * 0.5625, 300 * 0.5625 + 236.25]);
  expect(reframe([1080, 1920], 'scaled')).toEqual([]);
  expect(size()).toBe(56.25);
  reframe([1920, 1080], 'scaled');
  expect(now()).toEqual(before);
  expect(useEditor.getState().past).toHaveLength(0);
});

it('keeps what is in it in the middle, or where it is, in one step of the history', () => {
  reframe([1080, 1080], 'centred');
  expect([...begins(), size()]).toEqual([100 - 420, 300, 100]);
  undo();
  reframe([1000, 1000], 'left');
  expect([now().width, ...begins()]).toEqual([1000, 100, 300]);
  undo();
  expect([now().width, ...begins()]).toEqual([1920, 100, 300]);
});

it('is told afterwards too what becomes of the contents', () => {
  reframe([1080, 1080], 'scaled');
  reframe([1080, 1080], 'centred');
  expect([...begins(), size()]).toEqual([100 - 420, 300, 100]);
  expect(useEditor.getState().past).toHaveLength(1);
});

it('tells what cannot be', () => {
  expect(reframe([4, 1080], 'scaled')).not.toEqual([]);
  expect(now().width).toBe(1920);
});
