import * as core from '../core/core';
import type { Problem } from '../core/core';
import type { Channel, Lettering } from '../core/document';
import { applyEdit, change, undo, useEditor } from './editor';
import { notify } from './notices';

/** The chosen lettering, with the parts that an update names. */
export function changeLettering(id: string, parts: Partial<Lettering>, merge = ''): Problem[] {
  return change(
    (doc) => ({
      ...doc,
      letterings: doc.letterings.map((l) => (l.id === id ? { ...l, ...parts } : l)),
    }),
    merge,
  );
}

/**
 * Sets a value at the playhead. One that moves gets a keyframe there, and a notice says so; with
 * {@code whole} the whole movement is shifted instead.
 */
export function setValue(
  item: string,
  channel: Channel,
  value: number,
  whole = false,
  merge = '',
  missing = 0,
) {
  const { time, summary } = useEditor.getState();
  const keys = summary?.items[item]?.channels[channel];
  if (whole && keys) {
    const by = value - core.value(item, channel, time);
    return applyEdit({ op: 'shift', item, channel, by }, merge);
  }
  const problems = applyEdit({ op: 'set', item, channel, time, value, missing }, merge);
  const after = useEditor.getState().summary?.items[item]?.channels[channel];
  if (keys && after && after.length > keys.length) {
    notify(`Keyframe set for ${core.labelOf(channel).toLowerCase()}`, 'info', {
      label: 'Undo',
      run: undo,
    });
  }
  return problems;
}
