import * as core from '../core/core';
import { applyEdit, pathOf, select, useEditor } from './editor';
import { groupOf } from './items';
import { useNewWords } from './newWords';
import { notify } from './notices';

export const newId = () => crypto.randomUUID().slice(0, 8);

/** Adds a lettering on the path chosen as such, else on one of its own, and opens Words. */
export function addLettering(): void {
  addWords(useEditor.getState().pathId ?? '');
}

/** Adds a lettering on the path that the sheets are about. */
export function addOnThisPath(): void {
  addWords(pathOf(useEditor.getState())?.id ?? '');
}

export type Piece = 'badge' | 'title' | 'border';

export const PIECES: { piece: Piece; label: string }[] = [
  { piece: 'badge', label: 'Badge that turns' },
  { piece: 'title', label: 'Title that swoops in' },
  { piece: 'border', label: 'Border that runs' },
];

/** Adds words that move, on a path of their own, as a piece to start from. */
export function addReadyPiece(piece: Piece): void {
  const id = newId();
  applyEdit({ op: 'readyPiece', id, path: newId(), piece });
  show(id);
}

function addWords(on: string): void {
  const id = newId();
  applyEdit({ op: 'addLettering', id, on, circle: newId() });
  show(id);
}

/** Has new words chosen and ready to be written over. */
function show(id: string): void {
  select(id);
  useNewWords.setState({ id });
  useEditor.setState({ tab: 'words' });
}

/** Adds copies of words that come after them on their path. */
export function addFollowers(item: string, count = 2): void {
  applyEdit({ op: 'followers', item, id: newId(), count });
}

/** A cue where the playhead is. */
export function cueHere(): void {
  applyEdit({ op: 'addCue', id: newId(), time: useEditor.getState().time });
}

/** Adds a colour field behind all else and opens Dress. */
export function addColourField(): void {
  const id = newId();
  if (applyEdit({ op: 'addColourField', id }).length > 0) return;
  select(id);
  useEditor.setState({ tab: 'dress' });
}

/** Makes a shape of a path, below all words, and opens Dress. */
export function fillPath(path: string): void {
  const id = newId();
  if (applyEdit({ op: 'fillPath', id, on: path }).length > 0) return;
  select(id);
  useEditor.setState({ tab: 'dress' });
}

/** Shows a part of an item again before all words, and opens Dress. */
export function cutForeground(item: string, along: string, merge = ''): void {
  const id = newId();
  const { time } = useEditor.getState();
  if (applyEdit({ op: 'cutForeground', id, item, along, time }, merge).length > 0) return;
  select(id);
  useEditor.setState({ tab: 'dress' });
}

/** Takes items away; their paths stay. */
export function removeItems(ids: string[]): void {
  applyEdit({ op: 'deleteItem', items: ids });
  select(null);
}

/** Moves an item to a place, else to the top, of a group, or of the stack where that is empty. */
export function restack(id: string, into = '', to?: number): void {
  applyEdit({ op: 'restack', item: id, into, ...(to !== undefined && { to: Math.max(to, 0) }) });
}

/** Puts the chosen items into a group of their own. */
export function groupChosen(): void {
  const { selected, also } = useEditor.getState();
  if (!selected) return;
  const id = newId();
  const problems = applyEdit({ op: 'group', id, items: [selected, ...also] });
  if (problems.length === 0) select(id);
}

/** Puts what is in a group in its place, as it looks; where that cannot be, it asks. */
export function ungroup(id: string): void {
  const { doc } = useEditor.getState();
  const first = groupOf(doc, id)?.members[0] ?? null;
  const apart = (plain: boolean) => {
    if (applyEdit({ op: 'ungroup', item: id, plain }).length === 0) select(first);
  };
  const tried = doc && core.edit(doc, { op: 'ungroup', item: id });
  if (tried && 'error' in tried) {
    const run = () => apart(true);
    notify(tried.error, 'error', { label: 'Take it apart all the same', run });
    return;
  }
  apart(false);
}
