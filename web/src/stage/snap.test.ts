import { beforeEach, expect, it } from 'vitest';
import { useEditor } from '../state/editor';
import { scene } from '../testing';
import { endSnap, snapped, snapThrough, useSnap } from './snap';

const doc = scene();
const caught = () => useSnap.getState();

beforeEach(() => {
  endSnap();
  snapThrough([1, 0, 0, 1, 0, 0]);
});

it('catches on the middle, the thirds and the edges of the frame', () => {
  expect(snapped(doc, '', 503, 100, 1)).toEqual([500, 100]);
  expect(caught().x?.word).toBe('the middle of the frame');
  expect(caught().y).toBeNull();
  expect(snapped(doc, '', 331, 597, 1)).toEqual([1000 / 3, 600]);
});

it('reaches a few pixels of the screen, whatever the zoom', () => {
  expect(snapped(doc, '', 510, 100, 1)[0]).toBe(510);
  expect(snapped(doc, '', 510, 100, 2)[0]).toBe(500);
  expect(snapped(doc, '', 503, 100, 0.25)[0]).toBe(503);
});

it('catches on points of other paths and tells how far they are', () => {
  expect(snapped(doc, '', 103, 200, 1)).toEqual([100, 200]);
  expect(caught().x?.word).toBe('a point 100 px away');
  expect(snapped(doc, 'p', 103, 200, 1)).toEqual([103, 200]);
  const hidden = scene({ paths: doc.paths.map((p) => ({ ...p, hidden: true })) });
  expect(snapped(hidden, '', 103, 200, 1)).toEqual([103, 200]);
});

it('takes the nearest of several', () => {
  // 500 is the middle, 504 a point.
  const two = scene({
    paths: [
      {
        id: 'q',
        name: 'Q',
        kind: 'smooth',
        rule: 'through',
        closed: false,
        points: [
          [504, 9],
          [900, 9],
        ],
      },
    ],
  });
  expect(snapped(two, '', 503, 100, 1)[0]).toBe(504);
  expect(snapped(two, '', 501, 100, 1)[0]).toBe(500);
});

it('lets go of everything at the end', () => {
  snapped(doc, '', 500, 300, 1);
  expect(caught().x).not.toBeNull();
  endSnap();
  expect(caught()).toMatchObject({ x: null, y: null });
});

it('catches where groups bring it on the frame, and on points of other paths there', () => {
  // Twice as large, turned by a quarter, and moved.
  snapThrough([0, 2, -2, 0, 700, 40]);
  const [x, y] = snapped(doc, '', 80, 99, 0.5);
  expect(caught().x?.word).toBe('the middle of the frame');
  expect(x).toBeCloseTo(80);
  expect(y).toBeCloseTo(100);
  // A point of the path lies at 100, 300 of the frame.
  const [px, py] = snapped(doc, '', 131, 299, 0.5);
  expect([px, py]).toEqual([expect.closeTo(130), expect.closeTo(300)]);
  expect(caught().x?.word).toBe('a point 3 px away');
});

it('catches on guides as long as they are shown', () => {
  const guided = scene({
    guides: [
      { id: 'g', upright: true, at: 220 },
      { id: 'h', upright: false, at: 90 },
    ],
  });
  expect(snapped(guided, '', 223, 94, 1)).toEqual([220, 90]);
  expect(caught().x?.word).toBe('a guide at 220 px');
  const { overlays } = useEditor.getState();
  useEditor.setState({ overlays: { ...overlays, guides: false } });
  expect(snapped(guided, '', 223, 94, 1)).toEqual([223, 94]);
  useEditor.setState({ overlays });
});
