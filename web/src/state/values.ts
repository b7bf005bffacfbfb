import * as core from '../core/core';
import type { Problem } from '../core/core';
import type { Channel, Item, Lettering, Placed } from '../core/document';
import { channelsOf } from './channels';
import { applyEdit, change, undo, useEditor } from './editor';
import { isLocked, itemOf, letteringOf } from './items';
import { notify } from './notices';

/** An item with the parts that an update names. */
function changeItem(id: string, parts: Partial<Item>, merge: string): Problem[] {
  return change(
    (doc) => ({
      ...doc,
      items: doc.items.map((i) => (i.id === id ? ({ ...i, ...parts } as Item) : i)),
    }),
    merge,
  );
}

/** A lettering with the parts that an update names. */
export function changeLettering(id: string, parts: Partial<Lettering>, merge = ''): Problem[] {
  return changeItem(id, parts, merge);
}

/** A drawing or a group with other parts. */
export function changePlaced(id: string, parts: Partial<Placed>, merge = ''): Problem[] {
  return changeItem(id, parts as Partial<Item>, merge);
}

/** Hides or shows an item, locks or unlocks it. */
export function toggleFlag(id: string, flag: 'hidden' | 'locked'): void {
  const item = itemOf(useEditor.getState().doc, id);
  if (item) changeItem(id, { [flag]: !item[flag] }, '');
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
      items: d.items.map((i) => {
        if (i.kind !== 'lettering' || !all.has(i.id)) return i;
        return i.id === id ? { ...i, ...parts } : withNew(i, before, parts);
      }),
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

/** When an item is there, and all that are chosen with it: seconds, null for no limit. */
export function setShown(
  id: string,
  times: { from?: number | null; to?: number | null },
  merge = '',
): Problem[] {
  const { doc } = useEditor.getState();
  const items = chosenWith(id).filter((i) => !isLocked(doc, i));
  return applyEdit({ op: 'shown', items, ...times }, merge);
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
