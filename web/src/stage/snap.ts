import { create } from 'zustand';
import { inverse, roundTransform } from '../core/core';
import type { Pair, SceneDoc } from '../core/document';
import { useEditor } from '../state/editor';
import { usedGuides } from '../state/guides';
import { groupRound } from '../state/items';

/** A level or upright line that something being dragged has caught on. */
interface Caught {
  at: number;
  word: string;
}

interface Snap {
  x: Caught | null;
  y: Caught | null;
}

export const useSnap = create<Snap>(() => ({ x: null, y: null }));

const REACH = 6;

const STILL = [1, 0, 0, 1, 0, 0];

/** The map to the frame of what is being dragged, as six numbers of a matrix. */
let through = STILL;

/** What is dragged from now on stands in groups that bring it to the frame by this map. */
export function snapThrough(matrix: number[]): void {
  through = matrix;
}

/**
 * Brings a place onto the frame's edges, thirds and middle, onto guides, and in line with points of
 * other paths, when it is within a few screen pixels of them in the frame. What it caught on is
 * shown until {@link endSnap}.
 */
export function snapped(
  doc: SceneDoc,
  except: string,
  x: number,
  y: number,
  unit: number,
): [number, number] {
  const reach = REACH * unit * Math.hypot(through[0]!, through[1]!);
  const [fx, fy] = mapped(through, x, y);
  const points = pointsInFrame(doc, except);
  const across = catchOn(fx, reach, [
    ...frame(doc.width),
    ...guides(doc, true),
    ...points.map(([px, py]) => ({ at: px, word: far(px - fx, py - fy) })),
  ]);
  const down = catchOn(fy, reach, [
    ...frame(doc.height),
    ...guides(doc, false),
    ...points.map(([px, py]) => ({ at: py, word: far(px - fx, py - fy) })),
  ]);
  useSnap.setState({ x: across, y: down });
  if (!across && !down) return [x, y];
  const to: Pair = [across?.at ?? fx, down?.at ?? fy];
  return through === STILL ? to : mapped(inverse(through), ...to);
}

function guides(doc: SceneDoc, upright: boolean): Caught[] {
  const all = usedGuides(doc).filter((g) => g.upright === upright);
  return all.map((g) => ({ at: g.at, word: `a guide at ${Math.round(g.at)} px` }));
}

/** Points of the paths that are seen, where what stands on them shows them. */
function pointsInFrame(doc: SceneDoc, except: string): Pair[] {
  return doc.paths.flatMap((p) => {
    if (p.id === except || p.hidden || !('points' in p)) return [];
    const map = mapOf(doc, p.id);
    return p.points.map((k) => ('x' in k ? mapped(map, k.x, k.y) : mapped(map, ...k)));
  });
}

/** What the groups round that do which stands on a path. */
function mapOf(doc: SceneDoc, path: string): number[] {
  const on = doc.items.find((i) => 'path' in i && i.path === path);
  if (!on || !groupRound(doc, on.id)) return STILL;
  return [...roundTransform(on.id, useEditor.getState().time)];
}

function mapped(
  [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0]: number[],
  x: number,
  y: number,
): [number, number] {
  return [a * x + c * y + e, b * x + d * y + f];
}

export function endSnap(): void {
  useSnap.setState({ x: null, y: null });
}

const far = (dx: number, dy: number) => `a point ${Math.round(Math.hypot(dx, dy))} px away`;

function frame(length: number): Caught[] {
  return [
    { at: length / 2, word: 'the middle of the frame' },
    { at: length / 3, word: 'a third of the frame' },
    { at: (2 * length) / 3, word: 'a third of the frame' },
    { at: 0, word: 'the edge of the frame' },
    { at: length, word: 'the edge of the frame' },
  ];
}

function catchOn(value: number, reach: number, lines: Caught[]): Caught | null {
  let best: Caught | null = null;
  for (const line of lines) {
    const d = Math.abs(line.at - value);
    if (d <= reach && (!best || d < Math.abs(best.at - value))) best = line;
  }
  return best;
}
