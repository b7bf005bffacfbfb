import { expect, it } from 'vitest';
import { layoutOf } from './layout';

it('shares the window by its width and its shape', () => {
  expect(layoutOf(1280, 800)).toBe('wide');
  expect(layoutOf(1100, 1400)).toBe('wide');
  expect(layoutOf(1099, 700)).toBe('narrow');
  // A window of 1280 by 800 at 200 %.
  expect(layoutOf(640, 400)).toBe('narrow');
  expect(layoutOf(800, 1200)).toBe('upright');
  expect(layoutOf(390, 800)).toBe('slim');
});
