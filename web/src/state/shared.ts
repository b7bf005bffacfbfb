import { useMemo } from 'react';
import * as core from '../core/core';
import type { Channel, Lettering } from '../core/document';
import { channelsOf } from './channels';
import { useEditor } from './editor';
import { letteringOf } from './items';
import { useRestingTime } from './restingTime';

const NONE: string[] = [];

/** What is chosen beside an item. */
const useOthers = (item: string) => useEditor((s) => (item === s.selected ? s.also : NONE));

/** Tells what all chosen letterings have alike; of what they have differently it tells null. */
export function useShared(lettering: Lettering): <V>(of: (l: Lettering) => V) => V | null {
  const doc = useEditor((s) => s.doc);
  const others = useOthers(lettering.id);
  return (of) => {
    const own = of(lettering);
    const alike = others.every((id) => {
      const other = letteringOf(doc, id);
      return !other || of(other) === own;
    });
    return alike ? own : null;
  };
}

/** Whether chosen items have different values at the playhead. */
export function useMixed(item: string, channel: Channel): boolean {
  const others = useOthers(item);
  const time = useRestingTime();
  const opened = useEditor((s) => s.opened);
  return useMemo(() => {
    if (others.length === 0 || opened < 1) return false;
    const { doc, summary } = useEditor.getState();
    const known = (id: string) => summary?.items[id] !== undefined;
    if (!known(item)) return false;
    const own = core.value(item, channel, time);
    return others.some((id) => {
      if (!known(id) || !channelsOf(doc, id).includes(channel)) return false;
      return Math.abs(core.value(id, channel, time) - own) > 1e-9;
    });
  }, [item, others, channel, time, opened]);
}
