import { useMemo } from 'react';
import { X } from 'lucide-react';
import * as core from '../core/core';
import type { Channel } from '../core/document';
import { useEditor } from '../state/editor';
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
  const tick = useEditor((s) => s.shown);
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
        className="absolute inset-x-0 top-0 z-10 truncate bg-sheet/85 px-1 text-left text-[10px] font-medium text-teal"
        title={`${name}: ${shown(least, 1)} to ${shown(greatest, 1)} ${unit}`}
        onClick={() => !speed && useEditor.setState({ charted: channel, keyframe: null, keys: [] })}
      >
        {name}
      </button>
      <button
        type="button"
        className="absolute top-0 right-0 z-20 rounded bg-sheet text-soft opacity-0 group-hover:opacity-100 focus:opacity-100"
        aria-label={`Take the lane ${name} away`}
        onClick={() => (speed ? useView.setState({ speed: false }) : toggleLane(channel))}
      >
        <X className="size-3" />
      </button>
      <svg
        width={LANE}
        height={Math.max(0, scale.height)}
        className="block"
        role="img"
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
        <text x={4} y={scale.height - 2} className="fill-soft text-[9px]">
          {shown(least, 0)}…{shown(greatest, 0)}
        </text>
      </svg>
    </div>
  );
}
