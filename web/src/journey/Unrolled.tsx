import { useMemo } from 'react';
import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { letteringOf } from '../state/items';
import type { Scale } from './scale';

/** So many parts of a path are told apart by how near they are. */
const NEARS = 60;

/** Where a path that is turned in space is in front, and where it is at the back. */
function Nearness({ near, length, scale }: { near: number[]; length: number; scale: Scale }) {
  const step = length / NEARS;
  return (
    <g data-testid="nearness">
      <title>Dark where the path is in front, light where it is at the back</title>
      {near.slice(0, -1).map((n, i) => (
        <rect
          key={i}
          x={scale.x(i * step)}
          y={17}
          width={scale.x((i + 1) * step) - scale.x(i * step) + 0.5}
          height={4}
          className="fill-teal"
          opacity={Math.round((0.08 + 0.82 * ((n + near[i + 1]!) / 2)) * 100) / 100}
        />
      ))}
    </g>
  );
}

/** The path laid straight, with the lettering on it as it stands at the playhead. */
export function Unrolled({ id, scale }: { id: string; scale: Scale }) {
  const time = useEditor((s) => s.time);
  const shown = useEditor((s) => s.charting);
  const doc = useEditor((s) => s.doc);
  const length = scale.length ?? 0;
  const band = useMemo(() => (shown > 0 ? core.band(id, time) : []), [id, time, shown]);
  const reversed = letteringOf(doc, id)?.seat.side === 'right';
  // How near every part of a path is that is turned in space, in reading direction.
  const near = useMemo(() => {
    const points = shown > 0 ? core.planePath(id, NEARS, time) : new Float64Array();
    const all = Array.from({ length: Math.floor(points.length / 3) }, (_, i) => points[3 * i + 2]!);
    return reversed ? all.reverse() : all;
  }, [id, time, shown, reversed]);
  const text = letteringOf(doc, id)?.text.replace(/\n/g, ' ') ?? '';
  const [from, to] = useMemo(
    () =>
      shown > 0
        ? [core.value(id, 'startMargin', time), length - core.value(id, 'endMargin', time)]
        : [0, length],
    [id, time, shown, length],
  );
  const marks: [number, string][] = [
    [0, 'start'],
    [length / 2, '50 %'],
    [length, 'end'],
  ];
  const [tail, head] = [scale.x(band[0] ?? 0), scale.x(band[1] ?? 0)];
  // About six pixels a letter: what does not fit is drawn narrower, not cut.
  const tooLong = head - tail > 12 && text.length * 6 > head - tail - 8;
  return (
    <svg
      width={scale.width}
      height={64}
      className="block shrink-0"
      role="img"
      aria-label="The path laid straight"
    >
      <text x={scale.left} y={11} className="fill-soft text-[12px]">
        the path, laid straight
      </text>
      <clipPath id="unrolled">
        <rect x={scale.left} y={17} width={scale.right - scale.left} height={28} />
      </clipPath>
      <g clipPath="url(#unrolled)">
        <rect
          x={scale.left}
          y={17}
          width={scale.right - scale.left}
          height={28}
          className="fill-paper"
        />
        <rect
          x={scale.x(0)}
          y={17}
          width={scale.x(length) - scale.x(0)}
          height={28}
          className="fill-sheet stroke-rule"
        />
        <rect
          x={scale.x(from)}
          y={39}
          width={Math.max(0, scale.x(to) - scale.x(from))}
          height={4}
          className="fill-teal opacity-40"
          data-testid="room-laid-straight"
        >
          <title>The room between the margins</title>
        </rect>
        <rect
          x={tail}
          y={22}
          width={Math.max(2, head - tail)}
          height={15}
          rx={3}
          className="fill-wash stroke-teal"
        />
        <svg x={tail} y={22} width={Math.max(2, head - tail)} height={15}>
          <text
            x={4}
            y={11.5}
            className="fill-ink text-[11px] font-semibold"
            {...(tooLong ? { textLength: head - tail - 8, lengthAdjust: 'spacingAndGlyphs' } : {})}
          >
            {text}
          </text>
        </svg>
        {near.length > 0 && <Nearness near={near} length={length} scale={scale} />}
        <line
          x1={scale.left}
          x2={scale.right}
          y1={37}
          y2={37}
          className="stroke-vermilion"
          strokeWidth={1.5}
        />
      </g>
      {marks.map(([d, label]) => (
        <g key={label}>
          <line x1={scale.x(d)} x2={scale.x(d)} y1={45} y2={48} className="stroke-soft" />
          <text x={scale.x(d)} y={59} textAnchor="middle" className="fill-soft text-[11px]">
            {label}
          </text>
        </g>
      ))}
    </svg>
  );
}
