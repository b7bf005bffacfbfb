import { create } from 'zustand';
import { letteringOf } from './items';
import { useEditor } from './editor';
import { changeItem } from './values';

/** The item whose name is being written in the strip. */
export const useRenaming = create<{ id: string | null }>(() => ({ id: null }));

export const rename = (id: string) => useRenaming.setState({ id });

/** Ends it; a lettering without a name of its own is called by its words, all else keeps a name. */
export function endRenaming(name: string | null): void {
  const { id } = useRenaming.getState();
  useRenaming.setState({ id: null });
  if (id === null || name === null) return;
  const text = name.trim();
  if (text === '' && !letteringOf(useEditor.getState().doc, id)) return;
  changeItem(id, { name: text });
}
