import { create } from 'zustand';
import { select, useEditor } from './editor';

/** Where the menu of what is chosen is asked for, px of the page; null while it is not. */
export const useItemMenu = create<{ at: [number, number] | null }>(() => ({ at: null }));

/**
 * Opens the menu on an item, which is chosen by that if it is not yet; on none it is about pasting.
 * The menu key tells no place: the menu is at what has the focus then.
 */
export function openItemMenu(e: React.MouseEvent, item: string | null): void {
  e.preventDefault();
  e.stopPropagation();
  const { selected, also } = useEditor.getState();
  if (item !== selected && !(item && also.includes(item))) select(item);
  const { left, bottom } = e.currentTarget.getBoundingClientRect();
  const byKey = e.clientX === 0 && e.clientY === 0;
  useItemMenu.setState({ at: byKey ? [left, bottom] : [e.clientX, e.clientY] });
}
