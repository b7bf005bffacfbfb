import { labelOf, unitOf } from '../core/core';
import { useMemo } from 'react';
import * as core from '../core/core';
import type { Channel } from '../core/document';
import { framesPerSecond } from '../core/document';
import { applyEdit, setValue, useEditor } from '../state/editor';
import { NumberField } from './NumberField';

/** A value that can move: the number at the playhead and its ring. */
export function MovableField({ item, channel }: { item: string; channel: Channel }) {
  const time = useEditor((s) => s.time);
  const opened = useEditor((s) => s.opened);
  const keys = useEditor((s) => s.summary?.items[item]?.channels[channel]);
  const known = useEditor((s) => s.summary?.items[item] !== undefined);
  const rate = useEditor((s) => framesPerSecond(s.doc?.rate ?? '25'));
  const length = useEditor((s) => s.summary?.items[item]?.length ?? 0);
  const value = useMemo(
    () => (known && opened >= 0 ? core.value(item, channel, time) : null),
    [item, channel, time, opened, known],
  );
  const here = keys?.some((k) => Math.abs(k.time - time) * rate < 0.5) ?? false;
  const onPath = channel === 'pathOffset' || channel === 'startMargin' || channel === 'endMargin';
  const laps = (v: number) => v * length;
  const units = onPath ? { '%': (v: number) => (v / 100) * length, lap: laps, laps } : undefined;
  return (
    <NumberField
      label={labelOf(channel)}
      value={value}
      unit={unitOf(channel)}
      units={units}
      onChange={(v, whole) => setValue(item, channel, v, whole, `${item}.${channel}`)}
    >
      <Ring
        label={labelOf(channel)}
        state={here ? 'here' : keys ? 'moves' : 'still'}
        onClick={() => applyEdit({ op: 'toggle', item, channel, time })}
      />
    </NumberField>
  );
}

const RING_TITLES = {
  here: 'Keyframe here: click to remove it',
  moves: 'Moves, no keyframe here: click to set one',
  still: 'Still: click to set a keyframe',
};

interface RingProps {
  label: string;
  state: keyof typeof RING_TITLES;
  onClick: () => void;
}

/** Hollow: still. Half: moves, but no keyframe here. Filled: a keyframe here. */
function Ring({ label, state, onClick }: RingProps) {
  return (
    <button
      type="button"
      className="flex size-5 shrink-0 items-center justify-center rounded-full"
      title={RING_TITLES[state]}
      aria-label={`${label}: ${RING_TITLES[state]}`}
      aria-pressed={state === 'here'}
      onClick={onClick}
    >
      <svg viewBox="0 0 16 16" className="size-4">
        <circle
          cx="8"
          cy="8"
          r="5.5"
          className={state === 'still' ? 'fill-sheet stroke-soft' : 'fill-sheet stroke-teal'}
          strokeWidth="1.8"
          opacity={state === 'still' ? 0.7 : 1}
        />
        {state === 'here' && <circle cx="8" cy="8" r="5.5" className="fill-teal" />}
        {state === 'moves' && (
          <path d="M8 2.500A5.500 5.500 0 0 1 8 13.500Z" className="fill-teal" />
        )}
      </svg>
    </button>
  );
}
