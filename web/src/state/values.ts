import * as core from '../core/core';
import type { Problem } from '../core/core';
import type { Channel, Lettering } from '../core/document';
import { channelsOf } from './channels';
import { applyEdit, change, undo, useEditor } from './editor';
import { isLocked, letteringOf } from './items';
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
 * The same for all chosen letterings where {@code id} is one of them: of a part that has parts of its
 * own only those go to the others that are new.
 */
export function changeChosen(id: string, parts: Partial<Lettering>, merge = ''): Problem[] {
  const { doc } = useEditor.getState();
  const before = letteringOf(doc, id);
  const all = new Set(chosenWith(id));
  return change(
    (d) => ({
      ...d,
      letterings: d.letterings.map((l) =>
        l.id === id ? { ...l, ...parts } : all.has(l.id) ? withNew(l, before, parts) : l,
      ),
    }),
    merge,
  );
}

/** A lettering with what differs between parts and how they were on another one. */
function withNew(l: Lettering, before: Lettering | undefined, parts: Partial<Lettering>) {
  const out: Record<string, unknown> = { ...l };
  for (const [name, value] of Object.entries(parts)) {
    const was: unknown = before?.[name as keyof Lettering];
    out[name] = isObject(value) && isObject(was) ? merged(out[name], was, value) : value;
  }
  return out as unknown as Lettering;
}

const isObject = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

function merged(own: unknown, was: Record<string, unknown>, now: Record<string, unknown>) {
  const fresh = Object.entries(now).filter(([name, value]) => value !== was[name]);
  return { ...(isObject(own) ? own : {}), ...Object.fromEntries(fresh) };
}

/** An item, and where it is chosen with others, these too. */
export function chosenWith(item: string): string[] {
  const { selected, also } = useEditor.getState();
  return item === selected ? [item, ...also] : [item];
}

let several = 0;

/** {@link setValue} for all chosen items that have the value. */
export function setChosen(
  item: string,
  channel: Channel,
  value: number,
  whole = false,
  merge = '',
  missing = 0,
): Problem[] {
  const { doc } = useEditor.getState();
  const others = chosenWith(item).filter(
    (id) => id !== item && channelsOf(doc, id).includes(channel) && !isLocked(doc, id),
  );
  // One step of the history for all of them.
  const word = merge || (others.length > 0 ? `several-${++several}` : '');
  const problems = setValue(item, channel, value, whole, word, missing);
  if (problems.length > 0) return problems;
  others.forEach((id) => setValue(id, channel, value, whole, word, missing));
  return [];
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
