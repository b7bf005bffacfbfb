import { useMemo } from 'react';
import * as core from '../core/core';
import { unitOf } from '../core/core';
import { setTime, useEditor } from '../state/editor';
import { drag } from '../stage/drag';
import { pause } from '../stage/playback';
import { shown } from '../ui/arithmetic';
import type { PartProps } from './Chart';
import { freeOf, wordsBox, type Box } from './labels';
import { decimalsOf, type Scale } from './scale';

/** Where the playhead stands, with the speed there. */
export function Playhead({ item, channel, scale, toChart, taken }: PartProps & { taken: Box[] }) {
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
  const words =
    `${shown(speed, decimalsOf(scale.to - scale.from))} ${unitOf(channel)}/s` +
    (channel === 'pathOffset' && letter > 0 ? ` · ${shown(speed / letter, 1)} letters/s` : '');
  const place = placeOf(words, y, scale, taken);
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
            x={place.x}
            y={place.y}
            textAnchor={place.toLeft ? 'end' : 'start'}
            className="halo pointer-events-none fill-vermilion text-[11px]"
          >
            {words}
          </text>
        </>
      )}
    </g>
  );
}

/** At an end of the line, above or below it, where the words cover nothing and are not cut off. */
function placeOf(words: string, y: number, scale: Scale, taken: Box[]) {
  const places = [true, false].flatMap((toLeft) =>
    [y - 5, y + 14]
      .filter((baseline) => baseline > 11 && baseline < scale.height - 3)
      .map((baseline) => {
        const x = toLeft ? scale.right - 4 : scale.left + 10;
        return { x, y: baseline, toLeft, box: wordsBox(words, x, baseline, toLeft) };
      }),
  );
  return freeOf(places, taken) ?? { x: scale.right - 4, y: y + 14, toLeft: true };
}
