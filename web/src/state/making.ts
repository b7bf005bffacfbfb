import type { GuidePath, Lettering, SceneDoc } from '../core/document';
import { change, changeLettering, letteringOf, select, useEditor } from './editor';
import { notify } from './notices';

const newId = () => crypto.randomUUID().slice(0, 8);

/** A circle in the middle of the frame. */
function newCircle(doc: SceneDoc): GuidePath {
  return {
    id: newId(),
    name: `Circle ${doc.paths.length + 1}`,
    kind: 'circle',
    centre: [doc.width / 2, doc.height / 2],
    radius: Math.round(Math.min(doc.width, doc.height) * 0.35),
    startAngle: -90,
    direction: 'clockwise',
  };
}

/** Adds a lettering, on the path of the chosen one or on a new circle, and opens Words. */
export function addLettering(): void {
  const { doc, selected } = useEditor.getState();
  if (!doc) return;
  const id = newId();
  const known = letteringOf(doc, selected)?.path ?? doc.paths.at(-1)?.id;
  const circle = known === undefined ? newCircle(doc) : null;
  const lettering: Lettering = {
    id,
    text: 'Your words',
    face: 'bricolage-grotesque',
    axes: {},
    tracking: 0,
    fill: '#1F2B37',
    path: known ?? circle!.id,
    seat: {
      align: 'start',
      side: 'left',
      orientation: 'turn',
      pathOffset: 0,
      startMargin: 0,
      endMargin: 0,
      baselineShift: 0,
    },
    size: Math.round(Math.min(doc.width, doc.height) * 0.1),
    opacity: 100,
    rotation: 0,
    hidden: false,
    locked: false,
  };
  change((d) => ({
    ...d,
    paths: circle ? [...d.paths, circle] : d.paths,
    letterings: [...d.letterings, lettering],
    stack: [...d.stack, id],
  }));
  select(id);
  useEditor.setState({ tab: 'words' });
  requestAnimationFrame(() => {
    const box = document.querySelector<HTMLTextAreaElement>('#words-text');
    box?.focus();
    box?.select();
  });
}

/** Adds a path and seats the chosen lettering on it. */
export function addPath(path: GuidePath): void {
  const { selected } = useEditor.getState();
  change((d) => ({
    ...d,
    paths: [...d.paths, path],
    letterings: d.letterings.map((l) => (l.id === selected ? { ...l, path: path.id } : l)),
  }));
}

export function addCircle(): void {
  const { doc } = useEditor.getState();
  if (doc) addPath(newCircle(doc));
}

export function startDrawing(): void {
  useEditor.setState({ drawing: [], point: null, playing: false });
}

/** Makes the drawn points a path; fewer than two are dropped. */
export function finishDrawing(closed: boolean): void {
  const { doc, drawing } = useEditor.getState();
  useEditor.setState({ drawing: null });
  if (!doc || !drawing) return;
  if (drawing.length < 2) {
    if (drawing.length === 1) notify('A path needs at least two points; nothing was added.');
    return;
  }
  const id = newId();
  addPath({ id, name: `Curve ${doc.paths.length + 1}`, kind: 'drawn', closed, points: drawing });
}

/** Takes an item away; a path that no lettering uses any more goes with it. */
export function removeItem(id: string): void {
  change((d) => {
    const letterings = d.letterings.filter((l) => l.id !== id);
    const used = new Set(letterings.map((l) => l.path));
    const left = letteringOf(d, id)?.path;
    return {
      ...d,
      letterings,
      pictures: d.pictures.filter((p) => p.id !== id),
      paths: d.paths.filter((p) => p.id !== left || used.has(p.id)),
      stack: d.stack.filter((s) => s !== id),
    };
  });
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
