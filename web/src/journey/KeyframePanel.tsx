import { labelOf, outOfRange, unitOf } from '../core/core';
import { Trash2 } from 'lucide-react';
import type { Channel, LandingName } from '../core/document';
import { applyEdit, useEditor } from '../state/editor';
import { Choice } from '../ui/Choice';
import { NumberField } from '../ui/NumberField';
import { LANDINGS } from './words';

/** The chosen keyframe by numbers. */
export function KeyframePanel(props: { item: string; channel: Channel; along: boolean }) {
  const { item, channel, along } = props;
  const index = useEditor((s) => s.keyframe);
  const keys = useEditor((s) => s.summary?.items[item]?.channels[channel]);
  const key = index === null ? undefined : keys?.[index];
  if (!key || index === null) {
    return (
      <p className="shrink-0 border-t border-rule px-3.5 py-2 text-[12px] text-soft">
        {keys
          ? 'Drag a ring, or click it for its numbers. Double-click the line for another keyframe.'
          : 'Values that move are charted; choose another one above.'}
      </p>
    );
  }
  const edit = (op: string, more: object) => applyEdit({ op, item, channel, index, ...more });
  return (
    <section
      className="shrink-0 border-t border-rule px-3.5 pt-2.5 pb-2"
      aria-label="The chosen keyframe"
    >
      <div className="mb-1.5 flex items-center justify-between">
        <h2 className="font-semibold">
          Keyframe {index + 1} of {keys?.length}
        </h2>
        <button
          type="button"
          className="btn"
          onClick={() => {
            edit('remove', {});
            useEditor.setState({ keyframe: null });
          }}
        >
          <Trash2 className="size-4" /> Delete
        </button>
      </div>
      <NumberField
        label="Time"
        unit="s"
        decimals={3}
        step={0.1}
        value={key.time}
        onChange={(time) => edit('move', { time })}
      />
      <NumberField
        label={labelOf(channel)}
        unit={unitOf(channel)}
        decimals={2}
        value={key.value}
        onChange={(value) => {
          const wrong = outOfRange(channel, value);
          return wrong.length > 0 ? wrong : edit('move', { time: key.time, value });
        }}
      />
      {along && (
        <Choice
          label="Lands"
          value={key.landing ?? 'none'}
          options={LANDINGS}
          onChange={(landing: LandingName | 'none') =>
            edit('land', { landing: landing === 'none' ? null : landing, laps: key.laps ?? 1 })
          }
        />
      )}
      {key.landing === 'whole-laps' && (
        <NumberField
          label="Laps"
          decimals={0}
          value={key.laps ?? 1}
          onChange={(laps) => edit('land', { landing: 'whole-laps', laps })}
        />
      )}
    </section>
  );
}
