import { beforeEach, expect, it } from 'vitest';
import { scene } from '../testing';
import { useEditor } from './editor';
import { playAll, playBetween, playedFrames, playFromHere, playToHere } from './range';

beforeEach(() =>
  useEditor.setState({ doc: scene({ rate: '25', length: 4 }), range: null, time: 0 }),
);

it('is all of the scene at first', () => {
  expect(playedFrames()).toEqual([0, 100]);
});

it.each([
  [1, 2, [25, 50]],
  [2, 1, [25, 50]],
  [-3, 2, [0, 50]],
  [3, 9, [75, 100]],
  [1, 1, [25, 26]],
  [4, 4, [99, 100]],
  [-1, 4, [0, 100]],
])('between %d and %d s the frames are %s', (from, to, frames) => {
  playBetween(from, to);
  expect(playedFrames()).toEqual(frames);
});

it('begins and ends at the playhead, whose frame is seen', () => {
  useEditor.setState({ time: 1 });
  playFromHere();
  useEditor.setState({ time: 2 });
  playToHere();
  expect(playedFrames()).toEqual([25, 51]);
  useEditor.setState({ time: 3 });
  playFromHere();
  expect(playedFrames()).toEqual([75, 100]);
  useEditor.setState({ time: 0.4 });
  playToHere();
  expect(playedFrames()).toEqual([0, 11]);
  playAll();
  expect(playedFrames()).toEqual([0, 100]);
});

it('stays within a scene that has become shorter', () => {
  playBetween(2, 3);
  useEditor.setState({ doc: scene({ rate: '25', length: 1 }) });
  expect(playedFrames()).toEqual([24, 25]);
});
