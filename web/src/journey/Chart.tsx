import { onFrame, unitOf } from '../core/core';
import { useMemo, useRef } from 'react';
import * as core from '../core/core';
import type { KeyframeInfo } from '../core/core';
import { applyEdit, setTime, useEditor } from '../state/editor';
import type { Channel } from '../core/document';
import { drag } from '../stage/drag';
import { pause } from '../stage/playback';
import { shown } from '../ui/arithmetic';
import { BendHandles } from './BendHandles';
import { Chip } from './Chip';
import { Ring } from './Ring';
import type { Scale } from './scale';

interface Props {
  item: string;
  channel: Channel;
  samples: Float64Array;
  scale: Scale;
  along: boolean;
}

const NONE: KeyframeInfo[] = [];

/** The chart: grid, band, line, easing chips, rings and playhead. */
export function Chart({ item, channel, samples, scale, along }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const keys = useEditor((s) => s.summary?.items[item]?.channels[channel]) ?? NONE;
  const chosen = useEditor((s) => s.keyframe);
  const opened = useEditor((s) => s.opened);
  const toChart = (e: { clientX: number; clientY: number }): [number, number] => {
    const box = svg.current?.getBoundingClientRect();
    return [e.clientX - (box?.left ?? 0), e.clientY - (box?.top ?? 0)];
  };
  const xs = useMemo(
    () => (opened > 0 ? keys.map((k) => core.charted(item, channel, k.time)) : []),
    [keys, item, channel, opened],
  );

  const add = (e: React.MouseEvent) => {
    const [x, y] = toChart(e);
    const { doc } = useEditor.getState();
    if (!doc) return;
    const time = onFrame(scale.time(y));
    const now = core.value(item, channel, time);
    const value = now + scale.value(x) - core.charted(item, channel, time);
    // Near the line the new keyframe stands on it and changes nothing yet.
    const near =
      Math.abs(scale.x(scale.value(x)) - scale.x(core.charted(item, channel, time))) < 12;
    applyEdit({ op: 'key', item, channel, time, value: near ? now : value });
    choose(item, channel, time);
  };

  const height = Math.max(0, scale.height);
  return (
    <div className="relative size-full">
      <svg
        ref={svg}
        width={scale.width}
        height={height}
        className="block touch-none"
        onDoubleClick={add}
        onPointerDown={() => useEditor.setState({ keyframe: null })}
        data-testid="chart-svg"
        role="group"
        aria-label="Chart of the movement; every keyframe can also be set by number below"
      >
        <clipPath id="plot">
          <rect x={scale.left} y={0} width={scale.right - scale.left} height={height} />
        </clipPath>
        <Grid item={item} scale={scale} along={along} />
        <g clipPath="url(#plot)">
          {along && <Band samples={samples} scale={scale} />}
          <path d={linePath(samples, scale)} fill="none" className="stroke-teal" strokeWidth={2} />
        </g>
        {chosen !== null && keys[chosen] && keys[chosen + 1] && (
          <BendHandles
            item={item}
            channel={channel}
            index={chosen}
            from={{ key: keys[chosen], x: xs[chosen] ?? 0 }}
            to={{ key: keys[chosen + 1]!, x: xs[chosen + 1] ?? 0 }}
            scale={scale}
            toChart={toChart}
          />
        )}
        <Playhead item={item} channel={channel} scale={scale} toChart={toChart} />
        {keys.map((k, i) => (
          <Ring
            key={i}
            item={item}
            channel={channel}
            index={i}
            info={k}
            x={xs[i] ?? 0}
            scale={scale}
            toChart={toChart}
          />
        ))}
      </svg>
      {keys.slice(0, -1).map((k, i) => (
        <Chip
          key={i}
          item={item}
          channel={channel}
          index={i}
          a={k}
          b={keys[i + 1]!}
          from={Math.min(xs[i] ?? 0, xs[i + 1] ?? 0)}
          to={Math.max(xs[i] ?? 0, xs[i + 1] ?? 0)}
          scale={scale}
        />
      ))}
      {keys.length === 0 && (
        <p className="pointer-events-none absolute inset-x-8 top-1/3 rounded-md bg-sheet/90 p-2.5 text-center text-soft">
          It stands still. Double-click anywhere here to set a first keyframe, then another further
          down for later.
        </p>
      )}
    </div>
  );
}

function choose(item: string, channel: Channel, time: number): void {
  const keys = useEditor.getState().summary?.items[item]?.channels[channel] ?? [];
  const index = keys.findIndex((k) => Math.abs(k.time - time) < 1e-4);
  useEditor.setState({ keyframe: index < 0 ? null : index });
}

function linePath(samples: Float64Array, scale: Scale): string {
  let d = '';
  for (let i = 0; i < samples.length; i += 4) {
    d += `${i === 0 ? 'M' : 'L'}${scale.x(samples[i + 1]!).toFixed(1)} ${scale.y(samples[i]!).toFixed(1)}`;
  }
  return d;
}

/** From the tail of the text to its head. */
function Band({ samples, scale }: { samples: Float64Array; scale: Scale }) {
  let tail = '';
  let head = '';
  for (let i = 0; i < samples.length; i += 4) {
    const y = scale.y(samples[i]!).toFixed(1);
    tail += `${i === 0 ? 'M' : 'L'}${scale.x(samples[i + 2]!).toFixed(1)} ${y}`;
    head = `L${scale.x(samples[i + 3]!).toFixed(1)} ${y}${head}`;
  }
  return samples.length > 0 ? (
    <path d={`${tail}${head}Z`} className="fill-teal" opacity={0.16} />
  ) : null;
}

/** Seconds as level lines; of a path its ends, laps and the stretches outside the frame. */
function Grid({ item, scale, along }: { item: string; scale: Scale; along: boolean }) {
  const opened = useEditor((s) => s.opened);
  const round = useEditor((s) => s.summary?.items[item]?.comesRound ?? false);
  const outside = useMemo(
    () => (along && opened > 0 ? core.outside(item) : new Float64Array()),
    [item, along, opened],
  );
  const seconds = scale.seconds;
  const every = [0.1, 0.2, 0.5, 1, 2, 5, 10, 30, 60, 300, 900].find((s) => seconds / s <= 9) ?? 900;
  const levels = Array.from(
    { length: Math.floor(seconds / every + 1e-9) + 1 },
    (_, i) => i * every,
  );
  const [top, bottom] = [scale.y(0), scale.y(seconds)];
  const length = scale.length ?? 0;
  const laps: number[] = [];
  if (along && length > 0) {
    const first = round ? Math.ceil(scale.from / length) : 0;
    const last = round ? Math.floor(scale.to / length) : 1;
    for (let n = first; n <= last && laps.length < 200; n++) laps.push(n * length);
  }
  const tints: [number, number][] = [];
  if (along && !round) tints.push([scale.from, 0], [length, scale.to]);
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
            {shown(t, 1)} s
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
              {shown(scale.value(x), 0)}
            </text>
          );
        })}
    </g>
  );
}

export interface PartProps {
  item: string;
  channel: Channel;
  scale: Scale;
  toChart: (e: { clientX: number; clientY: number }) => [number, number];
}

/** Where the playhead stands, with the speed there. */
function Playhead({ item, channel, scale, toChart }: PartProps) {
  const time = useEditor((s) => s.time);
  const opened = useEditor((s) => s.opened);
  const speed = useMemo(
    () => (opened > 0 ? core.speed(item, channel, time) : 0),
    [item, channel, time, opened],
  );
  const y = scale.y(time);
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
        y={y - 5}
        textAnchor="end"
        className="halo pointer-events-none fill-vermilion text-[11px]"
      >
        {shown(speed, 0)} {unitOf(channel)}/s
      </text>
    </g>
  );
}
