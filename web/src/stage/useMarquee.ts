import { useState } from 'react';
import type { Box } from '../core/document';
import type { ToScene } from './coordinates';
import { drag } from './drag';

/** Screen pixels that a press may move and still be a click. */
export const STILL = 3;

/** A box drawn from where it is pressed; a mere click is left alone. */
export function useMarquee(toScene: ToScene, unit: number) {
  const [box, setBox] = useState<Box | null>(null);
  const begin = (
    e: React.PointerEvent,
    {
      during,
      after,
      click,
    }: { during?: (b: Box) => void; after?: (b: Box) => void; click: () => void },
  ) => {
    const [x0, y0] = toScene(e);
    let drawn: Box | null = null;
    drag(
      e,
      toScene,
      (x, y) => {
        if (!drawn && Math.hypot(x - x0, y - y0) <= STILL * unit) return;
        drawn = [Math.min(x, x0), Math.min(y, y0), Math.max(x, x0), Math.max(y, y0)];
        setBox(drawn);
        during?.(drawn);
      },
      () => {
        setBox(null);
        if (drawn) after?.(drawn);
        else click();
      },
    );
  };
  return { box, begin };
}
