import { expect, it } from 'vitest';
import { coverage, outlineBox } from './outlineBox';

it('finds the box round outlines', () => {
  expect(outlineBox('M10 20L-5.5 40Q7 8 9 -3Z')).toEqual([-5.5, -3, 10, 40]);
  expect(outlineBox('M1 2L3-4Z')).toEqual([1, -4, 3, 2]);
  expect(outlineBox('')).toBeNull();
});

it('tells how much of the smaller of two boxes is covered', () => {
  expect(coverage([0, 0, 100, 100], [0, 0, 100, 100])).toBe(1);
  expect(coverage([0, 0, 100, 100], [50, 0, 150, 100])).toBe(0.5);
  expect(coverage([0, 0, 100, 100], [10, 10, 20, 20])).toBe(1);
  expect(coverage([0, 0, 100, 100], [100, 0, 200, 100])).toBe(0);
  expect(coverage([0, 0, 100, 100], [20, 20, 20, 90])).toBe(0);
  expect(coverage(null, [0, 0, 1, 1])).toBe(0);
});
