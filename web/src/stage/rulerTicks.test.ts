import { expect, it } from 'vitest';
import { stepOf, ticks } from './rulerTicks';

it('numbers lines that are far enough apart, at any zoom', () => {
  for (let scale = 0.01; scale < 40; scale *= 1.07) {
    const step = stepOf(scale);
    expect(step * scale).toBeGreaterThanOrEqual(56 - 1e-6);
    expect(step * scale).toBeLessThan(56 * 2.5 + 1e-6);
    expect([1, 2, 5]).toContain(Number(step.toExponential()[0]));
  }
});

it('divides the way between two numbers by four short lines', () => {
  const all = ticks(-30, 120, 100);
  expect(all.map((t) => t.at)).toEqual([-20, 0, 20, 40, 60, 80, 100, 120]);
  expect(all.filter((t) => t.long).map((t) => t.at)).toEqual([0, 100]);
});

it('has no lines between pixels', () => {
  expect(ticks(0, 4, 2).map((t) => t.at)).toEqual([0, 1, 2, 3, 4]);
  expect(ticks(0, 2, 1).every((t) => t.long)).toBe(true);
});
