import { useState } from 'react';
import type { Knot } from '../core/document';
import { useEditor } from '../state/editor';
import { finishDrawing } from '../state/making';
import { drag } from './drag';
import type { ToScene } from './Overlay';

/** Click for points, press and drag to bend; the first point closes, Enter or Esc ends. */
export function DrawingLayer({ unit, toScene }: { unit: number; toScene: ToScene }) {
  const points = useEditor((s) => s.drawing) ?? [];
  const width = useEditor((s) => s.doc?.width ?? 0);
  const height = useEditor((s) => s.doc?.height ?? 0);
  const [pointer, setPointer] = useState<[number, number] | null>(null);
  const first = points[0];

  const add = (e: React.PointerEvent) => {
    const [x, y] = toScene(e);
    if (first && points.length > 1 && Math.hypot(x - first.x, y - first.y) < 10 * unit) {
      e.stopPropagation();
      finishDrawing(true);
      return;
    }
    const knot: Knot = { x, y, in: [0, 0], out: [0, 0], smooth: false };
    useEditor.setState({ drawing: [...points, knot] });
    drag(e, toScene, (hx, hy) => {
      if (Math.hypot(hx - x, hy - y) < 4 * unit) return;
      const bent: Knot = { x, y, in: [x - hx, y - hy], out: [hx - x, hy - y], smooth: true };
      useEditor.setState({ drawing: [...points, bent] });
    });
  };

  return (
    <g>
      <rect
        x={-width}
        y={-height}
        width={width * 3}
        height={height * 3}
        fill="transparent"
        className="cursor-crosshair"
        onPointerDown={add}
        onPointerMove={(e) => setPointer(toScene(e))}
        data-testid="drawing"
      />
      <path
        d={preview(points, pointer)}
        fill="none"
        className="pointer-events-none stroke-vermilion"
        strokeWidth={1.5 * unit}
      />
      {points.map((k, i) => (
        <circle
          key={i}
          cx={k.x}
          cy={k.y}
          r={4.5 * unit}
          className="pointer-events-none fill-sheet stroke-vermilion"
          strokeWidth={2 * unit}
        />
      ))}
    </g>
  );
}

function preview(points: Knot[], pointer: [number, number] | null): string {
  const all = [...points];
  if (pointer) all.push({ x: pointer[0], y: pointer[1], in: [0, 0], out: [0, 0], smooth: false });
  return all
    .map((k, i) => {
      const before = all[i - 1];
      if (!before) return `M${k.x} ${k.y}`;
      const [ax, ay] = [before.x + before.out[0], before.y + before.out[1]];
      return `C${ax} ${ay} ${k.x + k.in[0]} ${k.y + k.in[1]} ${k.x} ${k.y}`;
    })
    .join('');
}
