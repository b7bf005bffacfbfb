import { create } from 'zustand';
import * as core from '../core/core';
import type { Pair, SceneDoc } from '../core/document';
import { useEditor } from '../state/editor';

/** How the stage is looked at; no part of the document. */
interface View {
  /** Pixels of the device for one of the frame; null: as large as all of the frame fits. */
  zoom: number | null;
  /** The point of the frame in the middle of the stage, where it does not just fit. */
  at: Pair;
  /** The size of the stage on screen, CSS pixels. */
  room: Pair;
}

export const useView = create<View>(() => ({ zoom: null, at: [0, 0], room: [0, 0] }));

/** Room round a frame that fits, CSS px: what lies a little outside is seen and can be taken hold of. */
export const SURROUND = 24;

/** The zooms that steps lead to. */
const ZOOMS = [0.05, 0.1, 0.25, 0.5, 0.75, 1, 1.5, 2, 3, 4, 8, 16, 32];

const LEAST = ZOOMS[0]!;
const MOST = ZOOMS.at(-1)!;

/** Of the stage that something takes up which is gone to. */
const SHARE = 0.7;

/** Where the frame lies on the stage, CSS pixels. */
export interface Standing {
  left: number;
  top: number;
  width: number;
  height: number;
  /** CSS pixels for one of the frame. */
  scale: number;
}

const ratio = () => window.devicePixelRatio || 1;

/** On whole pixels of the device, so that edges are crisp. */
const whole = (v: number) => Math.round(v * ratio()) / ratio();

/** Where the frame lies, with so much room round it where it fits. */
export function standing(
  { width: w, height: h }: Pick<SceneDoc, 'width' | 'height'>,
  { zoom, at, room: [across, down] }: View,
  beside = SURROUND,
): Standing {
  if (zoom === null) {
    const fit = Math.min((across - 2 * beside) / w, (down - 2 * beside) / h);
    const [width, height] = [whole(w * fit), whole(h * fit)];
    const [left, top] = [whole((across - width) / 2), whole((down - height) / 2)];
    return { left, top, width, height, scale: width / w };
  }
  const scale = zoom / ratio();
  const left = whole(across / 2 - at[0] * scale);
  const top = whole(down / 2 - at[1] * scale);
  return { left, top, width: w * scale, height: h * scale, scale };
}

interface Now {
  doc: SceneDoc;
  room: Pair;
  /** The point of the frame in the middle of the stage. */
  at: Pair;
  /** CSS pixels for one of the frame. */
  scale: number;
}

/**
 * How it is looked at; nothing where there is nothing to look at. Not rounded, so that steps add up;
 * but a frame that fits stands on whole pixels, which a zoom from there would make much of.
 */
function now(): Now | null {
  const { doc } = useEditor.getState();
  const view = useView.getState();
  if (!doc) return null;
  const { scale, left, top } = standing(doc, view);
  if (!(scale > 0)) return null;
  const [across, down] = view.room;
  const fits: Pair = [(across / 2 - left) / scale, (down / 2 - top) / scale];
  return { doc, room: view.room, at: view.zoom === null ? fits : view.at, scale };
}

/** The frame can be brought to the edges of the stage and a little farther, not out of reach. */
function look(doc: SceneDoc, zoom: number, [x, y]: Pair): void {
  const kept = (v: number, size: number) => Math.min(Math.max(v, -size), 2 * size);
  useView.setState({
    zoom: Math.min(Math.max(zoom, LEAST), MOST),
    at: [kept(x, doc.width), kept(y, doc.height)],
  });
}

export function fit(): void {
  useView.setState({ zoom: null });
}

/** Zooms by a factor; what lies at a point of the stage stays there, else what is in its middle. */
export function zoomBy(factor: number, point?: Pair): void {
  const n = now();
  if (!n) return;
  const { room, at, scale } = n;
  const [dx, dy] = point ? [point[0] - room[0] / 2, point[1] - room[1] / 2] : [0, 0];
  const to = Math.min(Math.max(scale * ratio() * factor, LEAST), MOST);
  const by = 1 / scale - ratio() / to;
  look(n.doc, to, [at[0] + dx * by, at[1] + dy * by]);
}

/** To so many pixels of the device for one of the frame, about the middle of the stage. */
export function zoomTo(zoom: number): void {
  const n = now();
  if (n) zoomBy(zoom / (n.scale * ratio()));
}

/** To the next larger or smaller of {@link ZOOMS}. */
export function zoomStep(way: 1 | -1): void {
  const n = now();
  if (!n) return;
  const zoom = n.scale * ratio();
  const next =
    way > 0 ? ZOOMS.find((z) => z > zoom * 1.01) : ZOOMS.filter((z) => z < zoom * 0.99).at(-1);
  if (next !== undefined) zoomTo(next);
}

/** Moves the picture by CSS pixels. */
export function panBy(dx: number, dy: number): void {
  const n = now();
  if (n) look(n.doc, n.scale * ratio(), [n.at[0] - dx / n.scale, n.at[1] - dy / n.scale]);
}

/** Brings what is chosen to the middle, as large as it can be seen whole with some room round it. */
export function zoomToChosen(): void {
  const n = now();
  const { selected, also, time } = useEditor.getState();
  const boxes = [selected ?? '', ...also]
    .map((id) => (id ? [...core.frameBox(id, time)] : []))
    .filter((b) => b.length === 4);
  if (!n || boxes.length === 0) return;
  const [l, t] = [0, 1].map((i) => Math.min(...boxes.map((b) => b[i]!))) as Pair;
  const [r, b] = [2, 3].map((i) => Math.max(...boxes.map((b) => b[i]!))) as Pair;
  const { room } = n;
  const zoom = Math.min(room[0] / Math.max(r - l, 1), room[1] / Math.max(b - t, 1)) * SHARE;
  look(n.doc, zoom * ratio(), [(l + r) / 2, (t + b) / 2]);
}

/** Whether something is chosen that {@link zoomToChosen} can go to. */
export function canZoomToChosen(): boolean {
  const { selected, time, shown } = useEditor.getState();
  return selected !== null && shown > 0 && core.frameBox(selected, time).length === 4;
}

// Another scene is seen whole first.
useEditor.subscribe((s, before) => {
  if (s.sceneId !== before.sceneId) fit();
});
