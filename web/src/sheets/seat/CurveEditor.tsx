import { useRef } from 'react';
import { profileLine } from '../../core/core';
import type { Pair } from '../../core/document';

interface Props {
  label: string;
  unit: string;
  range: [number, number];
  points: Pair[];
  onChange: (points: Pair[]) => void;
  onEnd: () => void;
}

const [WIDTH, HEIGHT, PAD] = [206, 96, 8];

/**
 * A small curve: drag its points, double-click for another, Delete takes the focused one away;
 * arrow keys move it.
 */
export function CurveEditor({ label, unit, range, points, onChange, onEnd }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [least, greatest] = widened(range, points);
  const span = greatest - least || 1;
  const sx = (x: number) => PAD + x * (WIDTH - 2 * PAD);
  const sy = (v: number) => HEIGHT - PAD - ((v - least) / span) * (HEIGHT - 2 * PAD);
  const at = (e: { clientX: number; clientY: number }): Pair => {
    const box = svg.current?.getBoundingClientRect();
    const k = WIDTH / (box?.width || WIDTH);
    const x = ((e.clientX - (box?.left ?? 0)) * k - PAD) / (WIDTH - 2 * PAD);
    const y = (HEIGHT - PAD - (e.clientY - (box?.top ?? 0)) * k) / (HEIGHT - 2 * PAD);
    return [Math.min(Math.max(x, 0), 1), least + Math.min(Math.max(y, 0), 1) * span];
  };
  const put = (i: number, [x, v]: Pair) => {
    const low = i > 0 ? points[i - 1]![0] + 0.005 : 0;
    const high = i < points.length - 1 ? points[i + 1]![0] - 0.005 : 1;
    const next: Pair = [tidy(Math.min(Math.max(x, low), high)), tidy(v)];
    onChange(points.map((p, k) => (k === i ? next : p)));
  };
  const drag = (i: number) => (e: React.PointerEvent<SVGGElement>) => {
    const target = e.currentTarget;
    target.setPointerCapture(e.pointerId);
    const move = (m: PointerEvent) => put(i, at(m));
    target.addEventListener('pointermove', move);
    const up = () => {
      target.removeEventListener('pointermove', move);
      onEnd();
    };
    target.addEventListener('pointerup', up, { once: true });
    target.addEventListener('pointercancel', up, { once: true });
  };
  const add = (e: React.MouseEvent) => {
    const [x, v] = at(e);
    if (points.some((p) => Math.abs(p[0] - x) < 0.01) || points.length >= 50) return;
    onChange([...points, [tidy(x), tidy(v)] as Pair].sort((a, b) => a[0] - b[0]));
    onEnd();
  };
  const keys = (i: number) => (e: React.KeyboardEvent) => {
    const [x, v] = points[i]!;
    const step = (span / 100) * (e.shiftKey ? 10 : 1);
    if (e.key === 'ArrowUp') put(i, [x, v + step]);
    else if (e.key === 'ArrowDown') put(i, [x, v - step]);
    else if (e.key === 'ArrowRight') put(i, [x + 0.01, v]);
    else if (e.key === 'ArrowLeft') put(i, [x - 0.01, v]);
    else if ((e.key === 'Delete' || e.key === 'Backspace') && points.length > 1)
      onChange(points.filter((_, k) => k !== i));
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const line = profileLine(points, 60)
    .map(([x, v], i) => `${i ? 'L' : 'M'}${sx(x).toFixed(1)} ${sy(v).toFixed(1)}`)
    .join('');
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full touch-none rounded-md border border-rule bg-sheet"
      role="group"
      aria-label={`${label} along the run; double-click for another point`}
      onDoubleClick={add}
      data-testid="curve"
    >
      <path d={`M${PAD} ${HEIGHT / 2}H${WIDTH - PAD}`} className="stroke-rule" />
      <text x={PAD} y={11} className="fill-soft text-[9px]">
        {tidy(greatest)} {unit}
      </text>
      <text x={PAD} y={HEIGHT - 3} className="fill-soft text-[9px]">
        {tidy(least)} {unit}
      </text>
      <path d={line} fill="none" className="stroke-teal" strokeWidth="2" />
      {points.map(([x, v], i) => (
        <g
          key={i}
          className="cursor-grab"
          tabIndex={0}
          role="slider"
          aria-label={`Point ${i + 1}: ${tidy(v)} ${unit}`}
          aria-valuenow={tidy(v)}
          aria-valuemin={least}
          aria-valuemax={greatest}
          onPointerDown={drag(i)}
          onDoubleClick={(e) => e.stopPropagation()}
          onKeyDown={keys(i)}
        >
          <circle cx={sx(x)} cy={sy(v)} r="9" fill="transparent" />
          <circle
            cx={sx(x)}
            cy={sy(v)}
            r="4.5"
            className="fill-sheet stroke-teal"
            strokeWidth="2"
          />
        </g>
      ))}
    </svg>
  );
}

const tidy = (v: number) => Math.round(v * 1000) / 1000;

/** The usual range, and whatever the points go beyond it. */
function widened([least, greatest]: [number, number], points: Pair[]): [number, number] {
  const values = points.map((p) => p[1]);
  return [Math.min(least, ...values), Math.max(greatest, ...values)];
}
