import { useMemo } from 'react';
import * as core from '../core/core';
import { useEditor } from '../state/editor';

/** So many pieces of a path are drawn, each as heavy as it is near. */
const PIECES = 120;

/** The path of words that are turned in space, as it is seen: heavier where it is nearer. */
export function PlanePath({ id, unit }: { id: string; unit: number }) {
  const time = useEditor((s) => s.time);
  const shown = useEditor((s) => s.shown);
  const on = useEditor((s) => s.overlays.path);
  const points = useMemo(
    () => (shown > 0 ? core.planePath(id, PIECES, time) : []),
    [id, time, shown],
  );
  if (!on) return null;
  const pieces = Array.from({ length: Math.max(0, points.length / 3 - 1) }, (_, i) => {
    const [x, y, near, toX, toY, toNear] = points.slice(3 * i, 3 * i + 6);
    return { d: `M${x} ${y}L${toX} ${toY}`, near: (near! + toNear!) / 2 };
  });
  return (
    <g
      className="pointer-events-none stroke-vermilion"
      fill="none"
      strokeLinecap="round"
      data-testid="plane-path"
    >
      {pieces.map(({ d, near }, i) => (
        <path
          key={i}
          d={d}
          strokeWidth={(0.8 + 1.8 * near) * unit}
          opacity={Math.round((0.45 + 0.55 * near) * 100) / 100}
        />
      ))}
    </g>
  );
}
