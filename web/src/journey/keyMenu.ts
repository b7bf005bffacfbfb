import * as core from '../core/core';
import type { Channel } from '../core/document';
import { applyEdit, setTime, useEditor } from '../state/editor';
import { openMenu, type Entry } from '../state/itemMenu';
import { useCopied } from './view';

export function copyKeys(item: string, channel: Channel, indexes: number[]): void {
  useCopied.setState({ keys: core.copyKeys(item, channel, indexes) });
}

/** @param onward from the value at the playhead on, not with their own values */
export function pasteKeys(item: string, channel: Channel, onward: boolean): void {
  const { time } = useEditor.getState();
  applyEdit({ op: 'pasteKeys', item, channel, time, keys: useCopied.getState().keys, onward });
}

export function removeKeys(item: string, channel: Channel, indexes: number[]): void {
  applyEdit({ op: 'removeKeys', item, channel, indexes });
  useEditor.setState({ keyframe: null, keys: [] });
}

/** What can be done with some keyframes of a value. */
function entries(item: string, channel: Channel, indexes: number[]): Entry[] {
  const at = { item, channel, indexes };
  const [index = 0] = indexes;
  const info = useEditor.getState().summary?.items[item]?.channels[channel]?.[index];
  const one = () => indexes.length === 1;
  const copied = () => useCopied.getState().keys.length > 0;
  return [
    { label: 'Go there', run: () => info && setTime(info.time), when: one },
    {
      label: 'Bring it to the playhead',
      run: () => applyEdit({ op: 'move', item, channel, index, time: useEditor.getState().time }),
      when: one,
    },
    {
      label: 'Hold it until the next',
      run: () => applyEdit({ op: 'ease', item, channel, index, easing: 'hold' }),
      when: one,
    },
    { label: 'Copy', run: () => copyKeys(item, channel, indexes) },
    {
      label: 'Paste as is, from the playhead on',
      run: () => pasteKeys(item, channel, false),
      when: copied,
    },
    {
      label: 'Paste onward, from the playhead on',
      run: () => pasteKeys(item, channel, true),
      when: copied,
    },
    {
      label: 'Mirror in time',
      run: () => applyEdit({ op: 'mirrorKeys', ...at }),
      when: () => indexes.length > 1,
    },
    {
      label: 'Swap values',
      run: () => applyEdit({ op: 'swapKeys', ...at }),
      when: () => indexes.length === 2,
    },
    { label: 'Remove', keys: ['Delete'], run: () => removeKeys(item, channel, indexes) },
  ];
}

/** Opens the menu on a keyframe, which is chosen by that if it is not yet. */
export function openKeyMenu(
  e: React.MouseEvent,
  item: string,
  channel: Channel,
  index: number,
): void {
  const { keys } = useEditor.getState();
  const chosen = keys.includes(index) ? keys : [index];
  if (chosen !== keys) useEditor.setState({ keyframe: index, keys: chosen });
  openMenu(e, entries(item, channel, chosen));
}
