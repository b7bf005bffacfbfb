import { expect, it } from 'vitest';
import { dilate, gaussian, lightToOpacity } from './pixelEffects';

const SIZE = 81;

/** A picture with the left half full of one colour. */
function half(): Uint8ClampedArray {
  const rgba = new Uint8ClampedArray(SIZE * SIZE * 4);
  for (let y = 0; y < SIZE; y++)
    for (let x = 0; x < SIZE / 2 - 1; x++) rgba.set([200, 100, 50, 255], 4 * (y * SIZE + x));
  return rgba;
}

/** The share of the normal distribution below x, to 1e-7 (Abramowitz and Stegun 26.2.17). */
function below(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const tail =
    (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return x > 0 ? 1 - tail : tail;
}

it.each([0.6, 1, 1.9, 2, 3.5, 8])('blurs an edge as the Gaussian of %d does', (deviation) => {
  const rgba = half();
  gaussian(rgba, SIZE, SIZE, deviation);
  for (let x = 20; x < 60; x++) {
    const at = 4 * (40 * SIZE + x);
    const wanted = 255 * below((39.5 - x) / deviation);
    expect(Math.abs(rgba[at + 3]! - wanted)).toBeLessThan(deviation < 1 ? 16 : 8);
    if (rgba[at + 3]! > 60) expect(Math.abs(rgba[at]! - 200)).toBeLessThanOrEqual(4);
  }
});

it('leaves what is not blurred, and nothing comes in from beyond the edge', () => {
  const rgba = half();
  gaussian(rgba, SIZE, SIZE, 0);
  expect(rgba).toEqual(half());
  gaussian(rgba, SIZE, SIZE, 3);
  expect(Math.abs(rgba[4 * 40 * SIZE + 3]! - 128)).toBeLessThan(25);
});

it('dilates by a square, and not beyond the picture', () => {
  const rgba = new Uint8ClampedArray(SIZE * SIZE * 4);
  rgba.set([0, 0, 0, 90], 4 * (1 * SIZE + 10));
  dilate(rgba, SIZE, SIZE, 3);
  for (let y = 0; y < SIZE; y++) {
    for (let x = 0; x < SIZE; x++) {
      const within = Math.abs(x - 10) <= 3 && Math.abs(y - 1) <= 3;
      expect(rgba[4 * (y * SIZE + x) + 3]).toBe(within ? 90 : 0);
    }
  }
});

it('makes pixels as opaque as they are light', () => {
  const rgba = Uint8ClampedArray.from([
    255, 255, 255, 255, 255, 255, 255, 100, 0, 0, 0, 255, 0, 255, 0, 255,
  ]);
  lightToOpacity(rgba);
  expect([3, 7, 11, 15].map((i) => rgba[i])).toEqual([255, 100, 0, 182]);
});

it('mixes colours by their opacity where they meet, however little is blurred', () => {
  const rgba = half();
  for (let i = 0; i < rgba.length; i += 4) if (rgba[i + 3] === 0) rgba.set([0, 0, 250, 255], i);
  gaussian(rgba, SIZE, SIZE, 1);
  for (let x = 30; x < 50; x++) {
    const left = below(39.5 - x);
    const at = 4 * (40 * SIZE + x);
    expect(rgba[at + 3]).toBe(255);
    expect(Math.abs(rgba[at]! - 200 * left)).toBeLessThan(8);
    expect(Math.abs(rgba[at + 2]! - (50 * left + 250 * (1 - left)))).toBeLessThan(8);
  }
});
