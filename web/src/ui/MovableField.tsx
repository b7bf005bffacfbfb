import { useMemo, type ReactNode } from 'react';
import * as core from '../core/core';
import { labelOf, unitOf } from '../core/core';
import type { Channel } from '../core/document';
import { useEditor } from '../state/editor';
import { useMixed } from '../state/shared';
import { setChosen, shiftChosen } from '../state/values';
import { NumberField } from './NumberField';
import { ChannelRing } from './ChannelRing';
import { useRestingTime } from '../state/restingTime';

interface Props {
  item: string;
  channel: Channel;
  label?: string;
  /** Shown while the item has no value of its own. */
  missing?: number;
  decimals?: number;
  step?: number;
  /** Numbers beyond are brought back. */
  range?: [number, number];
  children?: ReactNode;
}

/** A value that can move: the number at the playhead and its ring. */
export function MovableField(props: Props) {
  const { item, channel, missing = 0, range, step, decimals, children } = props;
  const label = props.label ?? labelOf(channel);
  const time = useRestingTime();
  const opened = useEditor((s) => s.opened);
  const known = useEditor((s) => s.summary?.items[item] !== undefined);
  const rides = channel === 'rideOffset' || channel === 'rideGap';
  const length = useEditor((s) => {
    const of = s.summary?.items[item];
    return (rides ? of?.rideLength : of?.length) ?? 0;
  });
  const value = useMemo(() => {
    if (!known || opened < 1) return null;
    const now = core.value(item, channel, time);
    return Number.isNaN(now) ? missing : now;
  }, [item, channel, time, opened, known, missing]);
  const laps = (v: number) => v * length;
  const em = unitOf(channel) === 'em';
  const scale = channel === 'scale';
  const margin = channel === 'startMargin' || channel === 'endMargin';
  const onPath = rides || margin || channel === 'pathOffset';
  const path = { '%': (v: number) => (v / 100) * length, lap: laps, laps };
  const units = onPath ? path : em ? { '%': (v: number) => v / 100 } : undefined;
  const put = (v: number, whole: boolean) => {
    const wrong = core.outOfRange(channel, v);
    if (wrong.length > 0) return wrong;
    const inside = range ? Math.min(Math.max(v, range[0]), range[1]) : v;
    return setChosen(item, channel, inside, whole, `${item}.${channel}`, missing);
  };
  const mixed = useMixed(item, channel);
  return (
    <NumberField
      mixed={mixed}
      onStep={(by) => shiftChosen(item, channel, by, `${item}.${channel}`, missing)}
      label={label}
      value={value}
      unit={unitOf(channel)}
      units={units}
      decimals={decimals ?? (em || scale ? 3 : 1)}
      step={step ?? (em ? 0.005 : scale ? 0.01 : 1)}
      onChange={put}
    >
      {children}
      <ChannelRing item={item} channel={channel} label={label} missing={missing} />
    </NumberField>
  );
}
