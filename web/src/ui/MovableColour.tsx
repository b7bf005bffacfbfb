import { useMemo } from 'react';
import * as core from '../core/core';
import type { Channel } from '../core/document';
import { useEditor } from '../state/editor';
import { useMixed } from '../state/shared';
import { setChosen } from '../state/values';
import { ChannelRing } from './ChannelRing';
import { ColourField } from './ColourField';
import { useRestingTime } from '../state/restingTime';

export const hex = (rgb: number) => `#${rgb.toString(16).padStart(6, '0').toUpperCase()}`;

interface Props {
  item: string;
  channel: Channel;
  label?: string;
}

/** A colour at the playhead, and its ring. */
export function MovableColour({ item, channel, label = core.labelOf(channel) }: Props) {
  const time = useRestingTime();
  const opened = useEditor((s) => s.opened);
  const known = useEditor((s) => s.summary?.items[item] !== undefined);
  const value = useMemo(
    () => (known && opened > 0 ? hex(core.value(item, channel, time)) : '#000000'),
    [item, channel, time, opened, known],
  );
  const mixed = useMixed(item, channel);
  return (
    <ColourField
      label={label}
      value={value}
      mixed={mixed}
      onChange={(v) =>
        setChosen(item, channel, parseInt(v.slice(1), 16), false, `${item}.${channel}`)
      }
    >
      <ChannelRing item={item} channel={channel} label={label} />
    </ColourField>
  );
}
