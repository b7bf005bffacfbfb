import { expect, it } from 'vitest';
import type { KeyframeInfo } from '../core/core';
import { chipBox, freeOf, ringLabels, wordsBox, type Box } from './labels';

it('knows how much room words take to either side', () => {
  const right = wordsBox('At rest', 100, 50, false);
  expect(right.left).toBe(100);
  const left = wordsBox('At rest', 100, 50, true);
  expect(left.right).toBe(100);
  expect(left.right - left.left).toBeCloseTo(right.right - right.left);
  expect(right.top).toBeLessThan(50);
});

it('takes the first place that covers nothing, and the first of all where none is free', () => {
  const at = (x: number) => ({ x, box: wordsBox('speed', x, 20, false) });
  const taken = [wordsBox('label', 10, 22, false)];
  expect(freeOf([at(10), at(200)], taken)?.x).toBe(200);
  expect(freeOf([at(10)], taken)?.x).toBe(10);
  expect(freeOf([at(10), at(200)], [])?.x).toBe(10);
  expect(freeOf([], taken)).toBeUndefined();
});

const meet = (a: Box, b: Box) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

it('never lays one label over another, nor over a ring', () => {
  let seed = 7;
  const chance = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  for (let round = 0; round < 200; round++) {
    const spots = Array.from({ length: 2 + Math.floor(chance() * 10) }, () => ({
      info: { landing: 'at-rest' } as KeyframeInfo,
      x: 40 + chance() * 280,
      y: chance() * 300,
    }));
    const boxes = ringLabels(spots, { left: 40, right: 320 }).flatMap((l) => (l ? [l.box] : []));
    boxes.forEach((a, i) => {
      expect(boxes.slice(i + 1).some((b) => meet(a, b))).toBe(false);
      expect(
        spots.some((s) =>
          meet(a, { left: s.x - 8, right: s.x + 8, top: s.y - 8, bottom: s.y + 8 }),
        ),
      ).toBe(false);
    });
  }
});

it('keeps the names of easings within the chart', () => {
  for (const x of [40, 60, 180, 300, 320]) {
    const box = chipBox('Gentle start', [x, x + 10], 50, { left: 40, right: 330, width: 344 });
    expect(box.left).toBeGreaterThanOrEqual(40);
    expect(box.right).toBeLessThanOrEqual(344);
  }
});
