import { create } from 'zustand';
import { inverse } from '../core/core';
import type { SceneDoc } from '../core/document';

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

/** The maps to the frame of what is being dragged and back, as six numbers of a matrix each. */
let through: { toFrame: number[]; back: number[] } | null = null;

/** What is dragged from now on stands in groups that bring it to the frame by this map. */
export function snapThrough(matrix: number[]): void {
  const still = matrix.every((v, i) => v === [1, 0, 0, 1, 0, 0][i]);
  through = still ? null : { toFrame: matrix, back: inverse(matrix) };
}

/**
 * Brings a place onto the frame's edges, thirds and middle, and in line with points of other paths,
 * when it is within a few screen pixels of them. What it caught on is shown until {@link endSnap}.
 */
export function snapped(
  doc: SceneDoc,
  except: string,
  x: number,
  y: number,
  unit: number,
): [number, number] {
  if (through) return snappedThrough(through, doc, x, y, unit);
  const points = doc.paths.flatMap((p) => {
    if (p.id === except || p.hidden) return [];
    if (p.kind === 'drawn') return p.points.map((k) => [k.x, k.y]);
    return p.kind === 'smooth' ? p.points : [];
  });
  const across = catchOn(x, REACH * unit, [
    ...frame(doc.width),
    ...points.map(([px = 0, py = 0]) => ({ at: px, word: far(px - x, py - y) })),
  ]);
  const down = catchOn(y, REACH * unit, [
    ...frame(doc.height),
    ...points.map(([px = 0, py = 0]) => ({ at: py, word: far(px - x, py - y) })),
  ]);
  useSnap.setState({ x: across, y: down });
  return [across?.at ?? x, down?.at ?? y];
}

/** Within groups only the lines of the frame count: other paths may stand in other groups. */
function snappedThrough(
  { toFrame, back }: { toFrame: number[]; back: number[] },
  doc: SceneDoc,
  x: number,
  y: number,
  unit: number,
): [number, number] {
  const reach = REACH * unit * Math.hypot(toFrame[0]!, toFrame[1]!);
  const [fx, fy] = mapped(toFrame, x, y);
  const across = catchOn(fx, reach, frame(doc.width));
  const down = catchOn(fy, reach, frame(doc.height));
  useSnap.setState({ x: across, y: down });
  return across || down ? mapped(back, across?.at ?? fx, down?.at ?? fy) : [x, y];
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
