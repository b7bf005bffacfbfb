import { create } from 'zustand';
import { api } from '../api/client';
import type { Bitmap } from './canvasSink';

/** Goes up whenever a bitmap has come that a frame waits for. */
export const useBitmaps = create<{ arrived: number }>(() => ({ arrived: 0 }));

interface Size {
  width: number;
  height: number;
}

/** Pixels of decoded bitmaps that are kept, those used last. */
const MOST_PIXELS = 60_000_000;

/** The sizes of pictures; 'asked' while they are on their way, 'missing' where there is none. */
const sizes = new Map<string, Size[] | 'asked' | 'missing'>();

/** By id and level, those used last at the end; null while one is on its way. */
const bitmaps = new Map<string, Bitmap | null>();

const keyOf = (id: string, level: number) => `${id}/levels/${level}`;

/** Whether a picture is known not to be kept any more. */
export function isMissing(id: string): boolean {
  return sizes.get(id) === 'missing';
}

/** A picture that was missing is kept again. */
export function isBack(id: string): void {
  if (isMissing(id)) sizes.delete(id);
}

/** Whether nothing that was asked for is still on its way. */
export function allArrived(): boolean {
  return ![...sizes.values()].includes('asked') && ![...bitmaps.values()].includes(null);
}

/** The level of a picture for so many pixels; the nearest there is while that is on its way. */
export function bitmapOf(id: string, across: number, down: number): Bitmap | undefined {
  const levels = sizes.get(id);
  if (!Array.isArray(levels)) {
    if (levels === undefined) void askSizes(id);
    return undefined;
  }
  const wanted = levelFor(levels, across, down);
  const known = bitmaps.get(keyOf(id, wanted));
  if (known) {
    bitmaps.delete(keyOf(id, wanted));
    bitmaps.set(keyOf(id, wanted), known);
    return known;
  }
  if (known === undefined) void askLevel(id, wanted);
  const others = levels
    .map((_, i) => i)
    .sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted));
  return others.map((i) => bitmaps.get(keyOf(id, i))).find((b) => b) ?? undefined;
}

/** The least of the sizes that still has a pixel for each; see the Java class Bitmaps. */
function levelFor(levels: Size[], across: number, down: number): number {
  let at = 0;
  for (let next = levels[1]; next && next.width >= across && next.height >= down;) {
    next = levels[++at + 1];
  }
  return at;
}

async function askSizes(id: string): Promise<void> {
  sizes.set(id, 'asked');
  try {
    sizes.set(id, await api.pictureLevels(id));
  } catch (e) {
    if (isGone(e)) sizes.set(id, 'missing');
    else again(() => sizes.delete(id));
  }
  useBitmaps.setState((s) => ({ arrived: s.arrived + 1 }));
}

const isGone = (e: unknown) => (e as { status?: number }).status === 404;

/** The server is away: it is asked again in a while, as saves are. */
function again(forget: () => void): void {
  setTimeout(() => {
    forget();
    useBitmaps.setState((s) => ({ arrived: s.arrived + 1 }));
  }, 3000);
}

async function askLevel(id: string, level: number): Promise<void> {
  const key = keyOf(id, level);
  bitmaps.set(key, null);
  try {
    const answer = await fetch(`/api/pictures/${key}`);
    if (!answer.ok) throw new Error(`The picture came with status ${answer.status}`);
    const bitmap = await createImageBitmap(await answer.blob(), { colorSpaceConversion: 'none' });
    bitmaps.set(key, framed(bitmap));
    bitmap.close();
    makeRoom();
  } catch {
    again(() => bitmaps.delete(key));
    return;
  }
  useBitmaps.setState((s) => ({ arrived: s.arrived + 1 }));
}

/** A bitmap with its outermost pixels once more round it. */
export function framed(bitmap: ImageBitmap): Bitmap | null {
  const { width: w, height: h } = bitmap;
  const canvas = document.createElement('canvas');
  canvas.width = w + 2;
  canvas.height = h + 2;
  const g = canvas.getContext('2d', { willReadFrequently: true });
  if (!g) return null;
  const columns = [
    [0, 1, 0],
    [0, w, 1],
    [w - 1, 1, w + 1],
  ] as const;
  const rows = [
    [0, 1, 0],
    [0, h, 1],
    [h - 1, 1, h + 1],
  ] as const;
  for (const [sx, sw, dx] of columns) {
    for (const [sy, sh, dy] of rows) g.drawImage(bitmap, sx, sy, sw, sh, dx, dy, sw, sh);
  }
  const pattern = g.createPattern(canvas, 'no-repeat');
  return pattern && { width: w, height: h, pattern };
}

function makeRoom(): void {
  let pixels = 0;
  for (const [key, b] of [...bitmaps].reverse()) {
    pixels += b ? b.width * b.height : 0;
    if (b && pixels > MOST_PIXELS && pixels > b.width * b.height) bitmaps.delete(key);
  }
}
