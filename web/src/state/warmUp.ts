import * as core from '../core/core';
import type { Pair } from '../core/document';

const ROUNDS = 5;
let done = 0;

/**
 * Fits a few small strokes while nothing else is to do: a browser runs code it has not run yet many
 * times slower, and the first stroke drawn by hand should be answered as quickly as the next.
 */
export function warmUpFitting(): void {
  if (done >= ROUNDS || typeof requestIdleCallback === 'undefined') return;
  requestIdleCallback(() => {
    done++;
    core.sketch({
      id: 'warm',
      name: '',
      kind: 'freehand',
      closed: false,
      steadiness: 30,
      simplicity: 30,
      samples: Array.from({ length: 200 }, (_, i) => wave(i + done)),
    });
    warmUpFitting();
  });
}

const wave = (i: number): Pair => [4 * i, 90 * Math.sin(i / 9) + ((i * 37) % 5)];
