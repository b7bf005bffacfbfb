import { create } from 'zustand';
import { select, useEditor } from './editor';

/** A line of a menu. */
export interface Entry {
  label: string;
  keys?: string[];
  run: () => void;
  /** Whether there is something to do it to; always, where this is left out. */
  when?: () => boolean;
}

interface Asked {
  /** Where the menu is asked for, px of the page; null while it is not. */
  at: [number, number] | null;
  /** What it offers; null for what can be done with what is chosen. */
  entries: Entry[] | null;
}

export const useItemMenu = create<Asked>(() => ({ at: null, entries: null }));

/** Where a menu is wanted: the menu key tells no place, it is at what has the focus then. */
export function placeOf(e: React.MouseEvent): [number, number] {
  e.preventDefault();
  e.stopPropagation();
  const { left, bottom } = e.currentTarget.getBoundingClientRect();
  return e.clientX === 0 && e.clientY === 0 ? [left, bottom] : [e.clientX, e.clientY];
}

export function openMenu(e: React.MouseEvent, entries: Entry[]): void {
  useItemMenu.setState({ at: placeOf(e), entries });
}

/**
 * Opens the menu on an item, which is chosen by that if it is not yet; on none it is about pasting.
 */
export function openItemMenu(e: React.MouseEvent, item: string | null): void {
  const { selected, also } = useEditor.getState();
  if (item !== selected && !(item && also.includes(item))) select(item);
  useItemMenu.setState({ at: placeOf(e), entries: null });
}
