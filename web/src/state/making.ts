import {
  applyEdit,
  change,
  changeLettering,
  letteringOf,
  pathOf,
  select,
  useEditor,
} from './editor';

export const newId = () => crypto.randomUUID().slice(0, 8);

/** Adds a lettering on the chosen path, the last one, or a new circle, and opens Words. */
export function addLettering(): void {
  const state = useEditor.getState();
  const id = newId();
  const on = pathOf(state)?.id ?? '';
  applyEdit({ op: 'addLettering', id, on, circle: newId() });
  select(id);
  useEditor.setState({ tab: 'words' });
  requestAnimationFrame(() => {
    const box = document.querySelector<HTMLTextAreaElement>('#words-text');
    box?.focus();
    box?.select();
  });
}

/** Takes an item away; its path stays. */
export function removeItem(id: string): void {
  applyEdit({ op: 'deleteItem', item: id });
  select(null);
}

/** Moves an item within the stack. */
export function restack(id: string, to: number): void {
  change((d) => {
    const stack = d.stack.filter((s) => s !== id);
    stack.splice(Math.min(Math.max(to, 0), stack.length), 0, id);
    return { ...d, stack };
  });
}

export function toggleFlag(id: string, flag: 'hidden' | 'locked'): void {
  const { doc } = useEditor.getState();
  const lettering = letteringOf(doc, id);
  if (lettering) changeLettering(id, { [flag]: !lettering[flag] });
  else
    change((d) => ({
      ...d,
      pictures: d.pictures.map((p) => (p.id === id ? { ...p, [flag]: !p[flag] } : p)),
    }));
}
