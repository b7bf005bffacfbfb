import { useFps, useTimeUnit, useTimeWords } from '../state/timeUnit';
import { useMemo } from 'react';
import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { shown } from '../ui/arithmetic';
import { decimalsOf, type Scale } from './scale';

/** Seconds as level lines; of a path its ends, laps and the stretches outside the frame. */
export function Grid({ item, scale, along }: { item: string; scale: Scale; along: boolean }) {
  const opened = useEditor((s) => s.opened);
  const round = useEditor((s) => s.summary?.items[item]?.comesRound ?? false);
  const outside = useMemo(
    () => (along && opened > 0 ? core.outside(item, scale.from, scale.to) : new Float64Array()),
    [item, along, opened, scale.from, scale.to],
  );
  const fps = useFps();
  const inFrames = useTimeUnit((s) => s.frames);
  const words = useTimeWords();
  const seconds = scale.last - scale.first;
  const steps = inFrames
    ? [1, 2, 5, 10, 20, 50, 100, 250, 500, 1000, 5000, 20000].map((f) => f / fps)
    : [0.1, 0.2, 0.5, 1, 2, 5, 10, 30, 60, 300, 900];
  const every = steps.find((s) => seconds / s <= 9) ?? 900;
  const begin = Math.ceil(scale.first / every - 1e-9);
  const levels = Array.from(
    { length: Math.floor(scale.last / every + 1e-9) - begin + 1 },
    (_, i) => (begin + i) * every,
  );
  const [top, bottom] = [scale.y(scale.first), scale.y(scale.last)];
  const length = scale.length ?? 0;
  const laps: number[] = [];
  if (along && length > 0) {
    const first = round ? Math.ceil(scale.from / length) : 0;
    const last = round ? Math.floor(scale.to / length) : 1;
    for (let n = first; n <= last && laps.length < 200; n++) laps.push(n * length);
  }
  const tints: [number, number][] = [];
  for (let i = 0; i + 1 < outside.length; i += 2) {
    for (const lap of round ? laps : [0]) tints.push([outside[i]! + lap, outside[i + 1]! + lap]);
  }
  return (
    <g>
      <rect
        x={scale.left}
        y={top}
        width={scale.right - scale.left}
        height={bottom - top}
        className="fill-sheet stroke-rule"
      />
      <g clipPath="url(#plot)">
        {tints.map(([a, b], i) => (
          <rect
            key={i}
            x={scale.x(a)}
            y={top}
            width={Math.max(0, scale.x(b) - scale.x(a))}
            height={bottom - top}
            className="fill-ochre"
            opacity={0.09}
          />
        ))}
      </g>
      {levels.map((t) => (
        <g key={t}>
          <line
            x1={scale.left}
            x2={scale.right}
            y1={scale.y(t)}
            y2={scale.y(t)}
            className="stroke-rule"
          />
          <text
            x={scale.left - 6}
            y={scale.y(t) + 4}
            textAnchor="end"
            className="fill-soft text-[11px]"
          >
            {words(t, 1)}
          </text>
        </g>
      ))}
      {laps.map((d) => (
        <line
          key={d}
          x1={scale.x(d)}
          x2={scale.x(d)}
          y1={top}
          y2={bottom}
          className="stroke-soft"
          opacity={0.5}
        />
      ))}
      {!along &&
        [0.1, 0.5, 0.9].map((share) => {
          const x = scale.left + (scale.right - scale.left) * share;
          return (
            <text
              key={share}
              x={x}
              y={bottom + 12}
              textAnchor="middle"
              className="fill-soft text-[11px]"
            >
              {shown(scale.value(x), decimalsOf(scale.to - scale.from))}
            </text>
          );
        })}
    </g>
  );
}
