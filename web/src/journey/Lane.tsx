import { useMemo } from 'react';
import { X } from 'lucide-react';
import * as core from '../core/core';
import type { Channel } from '../core/document';
import { applyEdit, previewKeys, useEditor } from '../state/editor';
import { drag } from '../stage/drag';
import { shown } from '../ui/arithmetic';
import type { Scale } from './scale';
import { toggleLane, useView } from './view';

export const LANE = 58;

interface LaneProps {
  item: string;
  /** A value, or the speed of the charted one. */
  channel: Channel | 'speed';
  charted: Channel;
  scale: Scale;
}

/** A value charted small beside the large chart: value across, time down. */
export function Lane({ item, channel, charted, scale }: LaneProps) {
  const tick = useEditor((s) => s.charting);
  const time = useEditor((s) => s.time);
  const speed = channel === 'speed';
  const points = useMemo(() => {
    if (tick < 1) return [];
    const n = 90;
    return Array.from({ length: n + 1 }, (_, i): [number, number] => {
      const t = scale.first + ((scale.last - scale.first) * i) / n;
      return [t, speed ? core.speed(item, charted, t) : core.value(item, channel, t)];
    });
  }, [tick, item, channel, charted, speed, scale.first, scale.last]);
  const values = points.map((p) => p[1]).filter((v) => Number.isFinite(v));
  const [least, greatest] = [Math.min(...values), Math.max(...values)];
  const span = greatest - least || 1;
  const x = (v: number) => 6 + ((v - least) / span) * (LANE - 12);
  const d = points
    .map(([t, v], i) => `${i ? 'L' : 'M'}${x(v).toFixed(1)} ${scale.y(t).toFixed(1)}`)
    .join('');
  const name = speed ? 'Speed' : core.labelOf(channel);
  const unit = speed ? `${core.unitOf(charted)}/s` : core.unitOf(channel);
  const y = scale.y(time);
  return (
    <div
      className="group relative shrink-0"
      style={{ width: LANE }}
      data-testid={`lane-${channel}`}
    >
      <button
        type="button"
        className="absolute inset-x-0 -top-2.5 z-10 truncate px-1 text-left leading-4 text-[10px] font-medium text-teal"
        title={`${name}: ${shown(least, 1)} to ${shown(greatest, 1)} ${unit}`}
        onClick={() => !speed && useEditor.setState({ charted: channel, keyframe: null, keys: [] })}
      >
        {name}
      </button>
      <button
        type="button"
        className="absolute -top-2 right-0 z-20 rounded bg-sheet text-soft opacity-0 group-hover:opacity-100 focus:opacity-100"
        aria-label={`Take the lane ${name} away`}
        onClick={() => (speed ? useView.setState({ speed: false }) : toggleLane(channel))}
      >
        <X className="size-3" />
      </button>
      <svg
        width={LANE}
        height={Math.max(0, scale.height)}
        className="block"
        role="group"
        aria-label={name}
      >
        <rect
          x={2}
          y={scale.y(scale.first)}
          width={LANE - 4}
          height={Math.max(0, scale.y(scale.last) - scale.y(scale.first))}
          className="fill-sheet stroke-rule"
        />
        {speed && least < 0 && greatest > 0 && (
          <path
            d={`M${x(0)} ${scale.y(scale.first)}V${scale.y(scale.last)}`}
            className="stroke-rule"
          />
        )}
        <path
          d={d}
          fill="none"
          className={speed ? 'stroke-ochre' : 'stroke-teal'}
          strokeWidth={1.5}
        />
        {y >= 0 && y <= scale.height && (
          <path d={`M2 ${y}H${LANE - 2}`} className="stroke-vermilion" />
        )}
        {speed && (
          <SpeedHandles item={item} channel={charted} least={least} span={span} scale={scale} />
        )}
        <text x={4} y={scale.height - 2} className="fill-soft text-[9px]">
          {shown(least, 0)}…{shown(greatest, 0)}
        </text>
      </svg>
    </div>
  );
}

interface SpeedProps {
  item: string;
  channel: Channel;
  least: number;
  span: number;
  scale: Scale;
}

/** How fast the value leaves the chosen keyframe and arrives at the next: drag across to set it. */
function SpeedHandles({ item, channel, least, span, scale }: SpeedProps) {
  const index = useEditor((s) => s.keyframe) ?? -1;
  const keys = useEditor((s) => s.summary?.items[item]?.channels[channel]);
  const [a, b] = [keys?.[index], keys?.[index + 1]];
  if (!a || !b || core.isColour(channel)) return null;
  const set = (arriving: boolean, value: number) => {
    return { op: 'speed' as const, item, channel, index, arriving, value };
  };
  const pull = (arriving: boolean, value: number) => (e: React.PointerEvent) => {
    const start = e.clientX;
    const perPixel = span / (LANE - 12);
    drag(
      e,
      (m) => [m.clientX, m.clientY],
      (px) => previewKeys(set(arriving, value + (px - start) * perPixel), 'speed'),
    );
  };
  const press = (arriving: boolean, value: number) => (e: React.KeyboardEvent) => {
    const way = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    applyEdit(set(arriving, value + (way * span) / (e.shiftKey ? 10 : 50)), 'speed-key');
  };
  return (
    <g>
      {[...core.endSpeeds(item, channel, index)].map((value, i) => {
        const arriving = i === 1;
        const across = Math.min(Math.max((value - least) / span, 0), 1);
        const word = arriving ? 'Arrives at' : 'Leaves at';
        const label = `${word} ${shown(value, 0)} ${core.unitOf(channel)}/s`;
        return (
          <g
            key={i}
            className="cursor-ew-resize [&:focus-visible>circle]:stroke-ink"
            transform={`translate(${6 + across * (LANE - 12)} ${scale.y((arriving ? b : a).time)})`}
            onPointerDown={pull(arriving, value)}
            onKeyDown={press(arriving, value)}
            tabIndex={0}
            role="slider"
            aria-label={`${word}, speed`}
            aria-valuenow={value}
            aria-valuetext={label}
            data-testid={`speed-${arriving ? 'arriving' : 'leaving'}`}
          >
            <title>{`${label}: drag across, or use the arrow keys`}</title>
            <circle r={9} fill="transparent" />
            <circle r={4} className="fill-sheet stroke-ochre" strokeWidth={2} />
          </g>
        );
      })}
    </g>
  );
}
