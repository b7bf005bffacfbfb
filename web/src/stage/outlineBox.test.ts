import { expect, it } from 'vitest';
import { isSamePlace, outlineBox } from './outlineBox';

it('finds the box round outlines', () => {
  expect(outlineBox('M10 20L-5.5 40Q7 8 9 -3Z')).toEqual([-5.5, -3, 10, 40]);
  expect(outlineBox('M1 2L3-4Z')).toEqual([1, -4, 3, 2]);
  expect(outlineBox('')).toBeNull();
});

it('takes boxes that differ by little for one', () => {
  expect(isSamePlace([0, 0, 100, 100], [4, -3, 101, 99])).toBe(true);
  expect(isSamePlace([0, 0, 100, 100], [8, 0, 108, 100])).toBe(false);
  expect(isSamePlace(null, [0, 0, 1, 1])).toBe(false);
});
