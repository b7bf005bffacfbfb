import { expect, it } from 'vitest';
import { shiftsFor } from './smallBlurs';

/** What becomes of a line of one pixel that is moved to and fro. */
function kernel(shifts: number[]): number[] {
  let line: number[] = Array.from({ length: 31 }, (_, i) => (i === 15 ? 1 : 0));
  for (const f of shifts) {
    const to = line.map((w, i) => (1 - f) * w + f * (line[i - 1] ?? 0));
    line = to.map((w, i) => (1 - f) * w + f * (to[i + 1] ?? 0));
  }
  return line;
}

it.each([0.2, 0.4, 0.5, 0.6, 0.8, 1, 1.4, 1.9])(
  'blurs an edge as the weights of a Gaussian of %d do',
  (deviation) => {
    const raw = Array.from({ length: 31 }, (_, i) =>
      Math.exp(-((i - 15) ** 2) / (2 * deviation ** 2)),
    );
    const sum = raw.reduce((a, b) => a + b);
    const variance = raw.reduce((a, w, i) => a + (w / sum) * (i - 15) ** 2, 0);
    const made = kernel(shiftsFor(variance));
    let [is, wanted] = [0, 0];
    for (let i = 0; i < 31; i++) {
      is += made[i]!;
      wanted += raw[i]! / sum;
      expect(Math.abs(is - wanted)).toBeLessThan(0.02);
    }
  },
);
