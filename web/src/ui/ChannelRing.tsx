import type { Channel } from '../core/document';
import { framesPerSecond } from '../core/core';
import { useEditor } from '../state/editor';
import { useRestingTime } from '../state/restingTime';
import { toggleChosen } from '../state/values';

const TITLES = {
  here: 'Keyframe here: click to remove it',
  moves: 'Moves, no keyframe here: click to set one',
  still: 'Still: click to set a keyframe',
};

interface Props {
  item: string;
  channel: Channel;
  label: string;
  missing?: number;
}

/** Hollow: still. Half: moves, but no keyframe here. Filled: a keyframe here. */
export function ChannelRing({ item, channel, label, missing = 0 }: Props) {
  const time = useRestingTime();
  const rate = useEditor((s) => framesPerSecond(s.doc?.rate ?? '25'));
  const keys = useEditor((s) => s.summary?.items[item]?.channels[channel]);
  const moves = useEditor((s) => s.summary?.items[item]?.moving.includes(channel) ?? false);
  const here = keys?.some((k) => Math.abs(k.time - time) * rate < 0.5) ?? false;
  const state = here ? 'here' : moves ? 'moves' : 'still';
  return (
    <button
      type="button"
      className="flex size-5 shrink-0 items-center justify-center rounded-full"
      title={TITLES[state]}
      aria-label={`${label}: ${TITLES[state]}`}
      aria-pressed={here}
      onClick={() => toggleChosen(item, channel, missing)}
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
