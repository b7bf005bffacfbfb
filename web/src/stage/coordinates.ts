import type { RefObject } from 'react';

export type ToScene = (e: { clientX: number; clientY: number }) => [number, number];

export function sceneCoordinates(within: RefObject<SVGGraphicsElement | null>): ToScene {
  return (e) => {
    const m = within.current?.getScreenCTM()?.inverse();
    if (!m) return [0, 0];
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m);
    return [p.x, p.y];
  };
}
