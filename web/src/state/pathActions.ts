import { create } from 'zustand';
import { applyEdit, pathOf, useEditor } from './editor';
import { addOnThisPath, fillPath } from './itemActions';
import type { Entry } from './itemMenu';
import { openMenu } from './itemMenu';
import { addPath, choosePath, deletePoints, editPath, sitters } from './paths';

/** The path that is to be deleted and on which something stands; null while none is. */
export const useLeaving = create<{ path: string | null }>(() => ({ path: null }));

const get = useEditor.getState;
const chosen = () => pathOf(get());
const free = () => chosen()?.locked !== true;
const id = () => chosen()?.id ?? '';

/** Deletes a path; where something stands on it, it is asked first where that goes. */
export function deletePath(path: string): void {
  if (sitters(path).length > 0) useLeaving.setState({ path });
  else applyEdit({ op: 'deletePath', of: path });
}

export const duplicatePath = (of: string) => addPath('duplicatePath', { of, seat: '' });

/** What can be done with the chosen path. */
const PATH_ENTRIES: Entry[] = [
  { label: 'Add words on it', run: addOnThisPath },
  { label: 'Fill it', run: () => fillPath(id()) },
  { label: 'Duplicate it', run: () => duplicatePath(id()) },
  { label: 'Turn its direction round', run: () => editPath('reverse'), when: free },
  { label: 'Turn it into points', run: () => editPath('toPoints'), when: () => free() && shaped() },
  { label: 'Close it', run: () => editPath('close'), when: () => free() && isClosed() === false },
  { label: 'Open it', run: () => editPath('open'), when: () => free() && isClosed() === true },
  {
    label: 'Hide or show it',
    run: () => editPath('label', { hidden: !(chosen()?.hidden ?? false) }),
  },
  {
    label: 'Lock or unlock it',
    run: () => editPath('label', { locked: !(chosen()?.locked ?? false) }),
  },
  { label: 'Delete it', run: () => deletePath(id()), when: free },
];

const shaped = () => chosen()?.kind !== 'drawn';

/** Of a path of points; undefined of others, which have an end or none by their kind. */
function isClosed(): boolean | undefined {
  const path = chosen();
  return path?.kind === 'drawn' || path?.kind === 'smooth' ? path.closed : undefined;
}

const kindOf = (kind: 'corner' | 'smooth' | 'symmetric') => () =>
  editPath('kind', { indexes: get().points, kind });
const drawn = () => chosen()?.kind === 'drawn';
const one = () => get().points.length === 1;

/** What can be done with the chosen points. */
const POINT_ENTRIES: Entry[] = [
  { label: 'A corner here', run: kindOf('corner'), when: drawn },
  { label: 'Smooth here', run: kindOf('smooth'), when: drawn },
  { label: 'Smooth and even here', run: kindOf('symmetric'), when: drawn },
  { label: 'Choose all points', run: chooseAll, when: one },
  { label: 'Remove from the path', keys: ['Delete'], run: deletePoints },
];

function chooseAll(): void {
  const path = chosen();
  if (path && 'points' in path) useEditor.setState({ points: path.points.map((_, i) => i) });
}

/** Opens the menu on a path, which is chosen by that. */
export function openPathMenu(e: React.MouseEvent, path: string): void {
  if (id() !== path) choosePath(path);
  openMenu(e, PATH_ENTRIES);
}

/** Opens the menu on a point of the chosen path, which is chosen by that if it is not yet. */
export function openPointMenu(e: React.MouseEvent, index: number): void {
  if (!get().points.includes(index)) useEditor.setState({ points: [index] });
  openMenu(e, POINT_ENTRIES);
}
