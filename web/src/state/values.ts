import * as core from '../core/core';
import type { Problem } from '../core/core';
import type { Channel, FilledPath, Lettering, Placed, SceneDoc } from '../core/document';
import { channelsOf } from './channels';
import { applyEdit, undo, useEditor } from './editor';
import { isLocked, itemOf } from './items';
import { notify } from './notices';

/** Fields as an edit carries them: one that is taken away is null. */
function withNulls(parts: object): Record<string, unknown> {
  return Object.fromEntries(Object.entries(parts).map(([name, v]) => [name, v ?? null]));
}

/** A lettering with the parts that an update names. */
export function changeLettering(id: string, parts: Partial<Lettering>, merge = ''): Problem[] {
  return applyEdit({ op: 'change', items: [id], fields: withNulls(parts) }, merge);
}

/** An item of any other kind with other parts. */
export function changeItem(
  id: string,
  parts: Partial<Placed> | Partial<FilledPath>,
  merge = '',
): Problem[] {
  return applyEdit({ op: 'change', items: [id], fields: withNulls(parts) }, merge);
}

/** Hides or shows an item, locks or unlocks it. */
export function toggleFlag(id: string, flag: 'hidden' | 'locked'): void {
  const item = itemOf(useEditor.getState().doc, id);
  if (item) applyEdit({ op: 'change', items: [id], fields: { [flag]: !item[flag] } });
}

/**
 * The same for all chosen letterings where {@code id} is one of them: of a part that has parts of its
 * own only those go to the others that are new.
 */
export function changeChosen(id: string, parts: Partial<Lettering>, merge = ''): Problem[] {
  return applyEdit({ op: 'change', items: changing(id), fields: withNulls(parts) }, merge);
}

/** All chosen letterings with other fields of one of their parts; what is left out stays. */
export function changePart<P extends 'seat' | 'rows' | 'phrases'>(
  id: string,
  part: P,
  fields: Partial<NonNullable<Lettering[P]>>,
  merge = '',
): Problem[] {
  return applyEdit({ op: 'change', items: changing(id), fields: withNulls(fields), part }, merge);
}

/** Settings of the scene, such as its size. */
export function changeScene(parts: Partial<SceneDoc>, merge = ''): Problem[] {
  return applyEdit({ op: 'changeScene', fields: withNulls(parts) }, merge);
}

/** An item, and where it is chosen with others, these too. */
export function chosenWith(item: string): string[] {
  const { selected, also } = useEditor.getState();
  return item === selected ? [item, ...also] : [item];
}

/** The same without others that are locked. */
function changing(item: string): string[] {
  const { doc } = useEditor.getState();
  return chosenWith(item).filter((i) => i === item || !isLocked(doc, i));
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

/** Shifts the value of all chosen items that have it, each from its own, and keeps to what it may be. */
export function shiftChosen(
  item: string,
  channel: Channel,
  by: number,
  merge: string,
  missing = 0,
): void {
  const { doc, time } = useEditor.getState();
  for (const id of chosenWith(item)) {
    if (!channelsOf(doc, id).includes(channel) || isLocked(doc, id)) continue;
    const own = core.value(id, channel, time);
    const to = Number(((Number.isNaN(own) ? missing : own) + by).toFixed(6));
    if (core.outOfRange(channel, to).length === 0) setValue(id, channel, to, false, merge, missing);
  }
}

/** Sets a keyframe at the playhead where an item has none, or takes it away; of all chosen alike. */
export function toggleChosen(item: string, channel: Channel, missing: number): void {
  const { doc, time } = useEditor.getState();
  const half = 0.5 / core.framesPerSecond(doc?.rate ?? '25');
  const isHere = (id: string) =>
    useEditor
      .getState()
      .summary?.items[id]?.channels[channel]?.some((k) => Math.abs(k.time - time) < half) ?? false;
  const here = isHere(item);
  const all = chosenWith(item).filter((id) => {
    const has = id === item || channelsOf(doc, id).includes(channel);
    return has && !isLocked(doc, id) && isHere(id) === here;
  });
  // One step of the history for all of them.
  const word = all.length > 1 ? `several-${++several}` : '';
  all.forEach((id) => applyEdit({ op: 'toggle', item: id, channel, time, missing }, word));
  if (!here) chart(item, channel);
}

/** Charts the value that was keyed last, if it is one of the chosen item. */
function chart(item: string, channel: Channel): void {
  const { selected, charted } = useEditor.getState();
  if (item !== selected || channel === charted) return;
  useEditor.setState({ charted: channel, keyframe: null, keys: [] });
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
    chart(item, channel);
    notify(`Keyframe set for ${core.labelOf(channel).toLowerCase()}`, 'info', {
      label: 'Undo',
      run: undo,
    });
  }
  return problems;
}
