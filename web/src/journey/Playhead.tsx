import { useMemo } from 'react';
import * as core from '../core/core';
import { unitOf } from '../core/core';
import { setTime, useEditor } from '../state/editor';
import { drag } from '../stage/drag';
import { pause } from '../stage/playback';
import { shown } from '../ui/arithmetic';
import type { PartProps } from './Chart';
import { decimalsOf } from './scale';

/** Where the playhead stands, with the speed there. */
export function Playhead({ item, channel, scale, toChart }: PartProps) {
  const time = useEditor((s) => s.time);
  const tick = useEditor((s) => s.charting);
  const speed = useMemo(
    () => (tick > 0 ? core.speed(item, channel, time) : 0),
    [item, channel, time, tick],
  );
  const letter = useEditor((s) => {
    const info = s.summary?.items[item];
    return info?.text && info.letters ? info.text / info.letters : 0;
  });
  const y = scale.y(time);
  const seen = y >= 0 && y <= scale.height;
  const scrub = (e: React.PointerEvent) => {
    pause();
    setTime(scale.time(toChart(e)[1]));
    drag(e, toChart, (_, py) => setTime(scale.time(py)));
  };
  return (
    <g>
      <rect
        x={0}
        y={0}
        width={scale.left}
        height={scale.height}
        fill="transparent"
        className="cursor-ns-resize"
        onPointerDown={scrub}
        data-testid="chart-ruler"
      >
        <title>Drag to move the playhead</title>
      </rect>
      {seen && (
        <>
          <line
            x1={scale.left - 4}
            x2={scale.right}
            y1={y}
            y2={y}
            className="pointer-events-none stroke-vermilion"
            strokeWidth={1.5}
          />
          <path
            d={`M${scale.left - 4} ${y - 6}L${scale.left + 6} ${y}L${scale.left - 4} ${y + 6}Z`}
            className="pointer-events-none fill-vermilion"
          />
          <text
            x={scale.right - 4}
            // Where the chart begins there is room only below the line.
            y={y < 16 ? y + 14 : y - 5}
            textAnchor="end"
            className="halo pointer-events-none fill-vermilion text-[11px]"
          >
            {shown(speed, decimalsOf(scale.to - scale.from))} {unitOf(channel)}/s
            {channel === 'pathOffset' && letter > 0
              ? ` · ${shown(speed / letter, 1)} letters/s`
              : ''}
          </text>
        </>
      )}
    </g>
  );
}
