import { Pin, PinOff } from 'lucide-react';
import type { Lettering } from '../../core/document';
import { applyEdit } from '../../state/editor';
import { changeLettering } from '../../state/values';
import { Segments } from '../../ui/Choice';

/** What the lettering keeps when the path under it is changed. */
export function StandsOnIt({ lettering }: { lettering: Lettering }) {
  const pinned = lettering.seat.pin !== undefined;
  return (
    <>
      <Segments
        label="Offsets keep"
        value={lettering.seat.reshape ?? 'keep-share'}
        options={[
          { value: 'keep-share', label: 'Share', detail: 'The same share of the length' },
          { value: 'keep-distance', label: 'Distance', detail: 'The same distance in px' },
        ]}
        onChange={(reshape) =>
          changeLettering(lettering.id, { seat: { ...lettering.seat, reshape } })
        }
      />
      <button
        type="button"
        className="btn w-full"
        aria-pressed={pinned}
        onClick={() => applyEdit({ op: 'pin', item: lettering.id, on: !pinned })}
      >
        {pinned ? <PinOff className="size-4" /> : <Pin className="size-4" />}
        {pinned ? 'Let the resting point go' : 'Pin the resting point here'}
      </button>
      <p className="mt-1.5 text-[12px] text-soft">
        {pinned
          ? 'The lettering rests on this spot of the path, whatever happens to other parts.'
          : 'Pinned, it does not slide when another part of the path is reshaped.'}
      </p>
    </>
  );
}
