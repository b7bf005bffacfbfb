import { api } from '../api/client';
import * as core from '../core/core';
import type { Edit, FoundPath, Further, Problem } from '../core/core';
import { isShape, type GuidePath, type Knot, type Pair, type Template } from '../core/document';
import { applyEdit, pathOf, preview, undo, useEditor, type Drawing } from './editor';
import { letteringOf, nameOf } from './items';
import { cutForeground, newId } from './itemActions';
import { notify } from './notices';
import { warmUpFitting } from './warmUp';

const get = useEditor.getState;

/** Edits of one path, of the chosen one unless they name another. */
export type PathOp = Extract<Edit, { path: string }>['op'];
type OfPath<Op extends PathOp> = Further<Op, 'path' | 'time'> & { path?: string };

/** What is needed may be left out where all of it may; then a word for steps to be one. */
type Arguments<More> = object extends More
  ? [more?: More, merge?: string]
  : [more: More, merge?: string];

function pathEdit<Op extends PathOp>(op: Op, more: OfPath<Op> | undefined): Edit | undefined {
  const path = pathOf(get());
  return path && ({ op, path: path.id, time: get().time, ...more } as unknown as Edit);
}

/** The chosen path's edit at the playhead. */
export function editPath<Op extends PathOp>(op: Op, ...rest: Arguments<OfPath<Op>>): Problem[] {
  const [more, merge] = rest as [OfPath<Op>?, string?];
  const edit = pathEdit(op, more);
  return edit ? applyEdit(edit, merge) : [];
}

/** The same, of a drag: shown at once, made when the pointer rests. */
export function previewPath<Op extends PathOp>(op: Op, more: OfPath<Op>, merge: string): void {
  const edit = pathEdit(op, more);
  if (edit) preview(edit, merge);
}

type AddingOp = 'newShape' | 'newPath' | 'placePath' | 'duplicatePath' | 'parallelPath';

/** Adds a path by an edit of the core, seats the chosen lettering on it and chooses it. */
export function addPath<Op extends AddingOp>(
  op: Op,
  more: Further<Op, 'id' | 'seat' | 'time'> & { seat?: string },
): void {
  const id = newId();
  const seat = get().selected ?? '';
  const edit = { op, id, seat, time: get().time, ...more } as unknown as Edit;
  if (applyEdit(edit).length === 0) choosePath(id);
}

export function choosePath(id: string): void {
  useEditor.setState({ pathId: id, points: [], pickStart: false });
}

/**
 * Begins a line.
 *
 * @param cut the item of which a part is brought forward along it
 */
export function startDrawing(mode: Drawing['mode'], cut?: string): void {
  useEditor.setState({
    tab: 'path',
    drawing: { mode, knots: [], auto: mode === 'curve' && cut !== undefined, ...(cut && { cut }) },
    points: [],
    playing: false,
  });
  if (mode === 'freehand' || mode === 'edges') warmUpFitting();
}

const pair = (k: Knot): Pair => [k.x, k.y];

/** What has been drawn so far, as a path; null while it is too little for one. */
export function drawnSoFar(drawing: Drawing, closed: boolean): GuidePath | null {
  const { knots, mode, auto } = drawing;
  if (knots.length < 2) return null;
  const label = { id: 'new', name: '' };
  if (mode === 'edges') {
    const samples = knots.map(pair);
    return { ...label, kind: 'freehand', closed, samples, steadiness: 12, simplicity: 25 };
  }
  if (mode === 'freehand') {
    const samples = knots.map(pair);
    return { ...label, kind: 'freehand', closed, samples, steadiness: 30, simplicity: 30 };
  }
  if (mode === 'smooth' || auto) {
    return { ...label, kind: 'smooth', rule: 'through', closed, points: knots.map(pair) };
  }
  return { ...label, kind: 'drawn', closed, points: knots };
}

/** Makes what was drawn a path; fewer than two points are dropped. */
export function finishDrawing(closed: boolean): void {
  const { doc, drawing } = get();
  useEditor.setState({ drawing: null });
  if (!doc || !drawing) return;
  const path = drawnSoFar(drawing, closed || drawing.cut !== undefined);
  if (!path) {
    if (drawing.knots.length === 1) notify('A path needs at least two points; nothing was added.');
    return;
  }
  if (drawing.cut) {
    finishCut(drawing.cut, path);
    return;
  }
  if (drawing.auto && drawing.mode === 'curve') {
    // The same line, with the handles that the smooth curve would have.
    addPath('newPath', { path });
    editPath('toPoints');
    return;
  }
  addPath('newPath', { path });
}

/** The line as a path of its own, and the part of an item that lies in it, in one step. */
function finishCut(item: string, line: GuidePath): void {
  const along = newId();
  const { doc } = get();
  const name = `Edge in ${doc ? nameOf(doc, item) : ''}`.slice(0, 100);
  const merge = `cut ${along}`;
  const path = { ...line, name };
  applyEdit({ op: 'newPath', id: along, path, seat: '', time: get().time } as Edit, merge);
  cutForeground(item, along, merge);
}

/** Gives up what was drawn so far; with nothing drawn, drawing itself. */
export function giveUpDrawing(): void {
  const { drawing } = get();
  if (!drawing) return;
  useEditor.setState({ drawing: drawing.knots.length > 0 ? { ...drawing, knots: [] } : null });
}

/** Another sheet ends a line being drawn: it is kept if it is one. */
useEditor.subscribe((now, before) => {
  if (now.tab === before.tab || now.tab === 'path' || !now.drawing) return;
  const kept = drawnSoFar(now.drawing, false) !== null;
  finishDrawing(false);
  if (kept) {
    notify('The line was ended where it was, as another sheet was opened.', 'info', {
      label: 'Undo',
      run: undo,
    });
  }
});

/** Deletes the chosen points of the chosen path. */
export function deletePoints(): void {
  const { points } = get();
  if (points.length > 0 && editPath('delete', { indexes: points }).length === 0) {
    useEditor.setState({ points: [] });
  }
}

/** The points of a path that has some, at the playhead. */
export function pointsOf(path: GuidePath, time: number): Knot[] {
  if (path.kind === 'drawn') return path.shapes ? core.knots(path.id, time) : path.points;
  if (path.kind !== 'smooth') return [];
  return path.points.map(([x, y]) => ({ x, y, in: [0, 0], out: [0, 0], kind: 'smooth' }));
}

/** Which letterings sit on a path. */
export function sitters(path: string): string[] {
  const items = get().doc?.items ?? [];
  return items
    .filter((i) => [('path' in i && i.path) || '', i.clip?.path, i.ride?.path].includes(path))
    .map((i) => i.id);
}

export function importPaths(paths: FoundPath[], fit: boolean): void {
  const named = paths.map((p, i) => ({ id: newId(), name: p.name ?? `Path ${i + 1}`, d: p.d }));
  const { selected } = get();
  const seat = letteringOf(get().doc, selected)?.id ?? '';
  if (applyEdit({ op: 'importPaths', paths: named, fit, seat }).length === 0 && named[0]) {
    choosePath(named[0].id);
  }
}

/** Puts a picture under the lines, as large as the frame lets it be. */
export async function addTemplate(file: File): Promise<void> {
  if (file.size > 12_000_000) {
    notify('The picture has more than 12 MB; make it smaller.', 'error');
    return;
  }
  try {
    const image = await api.keepImage(file);
    const { width, height } = image;
    const name = file.name.slice(0, 200);
    applyEdit({ op: 'addTemplate', id: newId(), name, image: image.id, width, height });
  } catch (e) {
    notify(e instanceof Error ? e.message : 'The picture could not be kept', 'error');
  }
}

export function changeTemplate(id: string, parts: Partial<Template>, merge = '') {
  return applyEdit({ op: 'changeTemplate', item: id, fields: parts }, merge);
}

export function removeTemplate(id: string): void {
  applyEdit({ op: 'removeTemplate', item: id });
}

/** The kind of a path in a word or two. */
export function kindWord(path: GuidePath): string {
  if (isShape(path)) return core.shapeKinds().find((k) => k.kind === path.kind)?.word ?? path.kind;
  if (path.kind === 'smooth') return 'Smooth curve';
  if (path.kind === 'freehand') return 'Freehand stroke';
  return `${path.points.length} points`;
}

/** Lets the browser save a text as a file. */
export function saveText(name: string, type: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  URL.revokeObjectURL(url);
}
