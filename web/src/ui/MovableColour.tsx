import { useMemo } from 'react';
import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { setChosen } from '../state/values';
import { ChannelRing } from './ChannelRing';
import { ColourField } from './ColourField';
import { useRestingTime } from '../state/restingTime';

export const hex = (rgb: number) => `#${rgb.toString(16).padStart(6, '0').toUpperCase()}`;

/** The colour of a lettering at the playhead, and its ring. */
export function MovableColour({ item, label }: { item: string; label: string }) {
  const time = useRestingTime();
  const opened = useEditor((s) => s.opened);
  const known = useEditor((s) => s.summary?.items[item] !== undefined);
  const value = useMemo(
    () => (known && opened > 0 ? hex(core.value(item, 'fill', time)) : '#000000'),
    [item, time, opened, known],
  );
  return (
    <ColourField
      label={label}
      value={value}
      onChange={(v) => setChosen(item, 'fill', parseInt(v.slice(1), 16), false, `${item}.fill`)}
    >
      <ChannelRing item={item} channel="fill" label={label} />
    </ColourField>
  );
}
