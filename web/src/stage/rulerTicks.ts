/** A numbered line of a ruler is at least so many CSS px from the next. */
const APART = 56;

/** Of the way between two numbered lines, how many short ones divide it. */
const PARTS = 5;

/** The pixels of the frame between numbered lines: 1, 2 or 5 times a power of ten. */
export function stepOf(scale: number): number {
  const least = APART / scale;
  const ten = 10 ** Math.floor(Math.log10(least));
  return [1, 2, 5, 10].map((n) => n * ten).find((s) => s >= least - 1e-9) ?? 10 * ten;
}

export interface Tick {
  at: number;
  /** Numbered. */
  long: boolean;
}

/** The lines of a ruler between two places, px of the frame; never of parts of a pixel. */
export function ticks(from: number, to: number, step: number): Tick[] {
  const small = Math.max(step / PARTS, Math.min(step, 1));
  const out: Tick[] = [];
  for (let i = Math.ceil(from / small - 1e-9); i * small <= to + 1e-9; i++) {
    const at = Math.round(i * small * 1e6) / 1e6 + 0;
    out.push({ at, long: Math.abs(at / step - Math.round(at / step)) < 1e-6 });
  }
  return out;
}
