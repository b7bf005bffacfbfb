import { api } from '../api/client';
import * as core from '../core/core';
import type { Bitmap } from './canvasSink';
import { framed, useBitmaps } from './bitmaps';

/** What the server says of the frames of footage; see its class FootageStore. */
interface Frames {
  /** How many frames are in each run, and the number of the first of each. */
  runs: number[];
  firsts: number[];
  type: string;
  width: number;
  height: number;
}

/** Pixels of decoded frames that are kept, those used last. */
const MOST_PIXELS = 45_000_000;

/** Runs of frames as they came that are kept, those used last. */
const MOST_RUNS = 120;

/** Frames that are made ready while it plays. */
const AHEAD = 8;

/** By id; 'asked' while on its way, 'later' while it is being prepared, 'missing' where there is none. */
const known = new Map<string, Frames | 'asked' | 'later' | 'missing'>();

/** Runs by id and number: the pictures of their frames. */
const runs = new Map<string, Promise<Blob[]>>();

/** Frames by id, number and level, those used last at the end; null while one is on its way. */
const frames = new Map<string, Bitmap | null | 'broken'>();

/** First frames of footage that is not ready; null while on its way. */
const stills = new Map<string, Bitmap | null>();

/** The frames that the stage has painted something else for. */
const wanted = new Set<string>();

/** The level in which footage was painted last. */
const levels = new Map<string, number>();

/** The frame that was painted last, which stands until the right one has come. */
const last = new Map<string, string>();

const keyOf = (id: string, frame: number, level: number) => `${id}/${frame}/${level}`;

const arrived = () => useBitmaps.setState((s) => ({ arrived: s.arrived + 1 }));

/** Whether footage is known not to be kept any more. */
export function isFootageMissing(id: string): boolean {
  return known.get(id) === 'missing';
}

/** Whether it is known which frames it has and when; it tells when that changes. */
export function useFramesKnown(id: string): boolean {
  useBitmaps((s) => s.arrived);
  return framesOf(id) !== undefined;
}

/** Footage that was being prepared is ready, or was taken in again. */
export function isReady(id: string): void {
  const state = known.get(id);
  if (state === 'later' || state === 'missing') {
    known.delete(id);
    arrived();
  }
}

/** Whether nothing that was asked for is still on its way. */
export function allFramesArrived(): boolean {
  return (
    ![...known.values()].includes('asked') &&
    ![...frames.values(), ...stills.values()].includes(null)
  );
}

/** The frame of a moment for so many pixels; while it is on its way, the one that was shown last. */
export function frameOf(
  id: string,
  moment: number,
  across: number,
  down: number,
): Bitmap | undefined {
  const all = framesOf(id);
  if (!all) return stillOf(id);
  const level = levelFor(all, across, down);
  levels.set(id, level);
  const key = keyOf(id, core.frameOf(id, moment), level);
  const found = frames.get(key);
  if (found && found !== 'broken') {
    frames.delete(key);
    frames.set(key, found);
    last.set(id, key);
    return found;
  }
  if (found !== 'broken') {
    wanted.add(key);
    void ask(id, all, core.frameOf(id, moment), level);
  }
  const before = frames.get(last.get(id) ?? '');
  return before && before !== 'broken' ? before : stillOf(id);
}

/** The least of the halving sizes that still has a pixel for each. */
function levelFor(f: Frames, across: number, down: number): number {
  let level = 0;
  while (
    f.width >> (level + 1) >= Math.max(across, 1) &&
    f.height >> (level + 1) >= Math.max(down, 1)
  )
    level++;
  return level;
}

/**
 * Whether every frame that a time shows is there; those that are not are asked for. What cannot
 * come is not waited for.
 */
export function framesReady(time: number): boolean {
  return each(time, (id, all, frame, level) => {
    const found = frames.get(keyOf(id, frame, level));
    if (found === undefined) void ask(id, all, frame, level);
    return Boolean(found);
  });
}

/** Asks for the frames of the times that come next; `round` leads from the end to the start. */
export function lookAhead(time: number, fps: number, round: (time: number) => number): void {
  for (let i = 1; i <= AHEAD; i++) {
    each(round(time + i / fps), (id, all, frame, level) => {
      if (!frames.has(keyOf(id, frame, level))) void ask(id, all, frame, level);
      return true;
    });
  }
}

function each(
  time: number,
  tell: (id: string, all: Frames, frame: number, level: number) => boolean,
): boolean {
  const shown = core.footageAt(time);
  let ready = true;
  for (let i = 0; i < shown.length; i += 2) {
    const id = core.image(shown[i]!);
    const all = framesOf(id);
    if (all) ready = tell(id, all, core.frameOf(id, shown[i + 1]!), levels.get(id) ?? 0) && ready;
  }
  return ready;
}

function framesOf(id: string): Frames | undefined {
  const state = known.get(id);
  if (state === undefined) void askFrames(id);
  return typeof state === 'object' ? state : undefined;
}

async function askFrames(id: string): Promise<void> {
  known.set(id, 'asked');
  try {
    const { times, ...rest } = await api.footageFrames(id);
    core.framesOf(id, Float64Array.from(times));
    let first = 0;
    const firsts = rest.runs.map((n) => (first += n) - n);
    known.set(id, { ...rest, firsts });
  } catch (e) {
    const { status } = e as { status?: number };
    known.set(id, status === 404 ? 'missing' : 'later');
    if (status !== 404) setTimeout(() => isReady(id), status === 409 ? 1000 : 3000);
  }
  arrived();
}

async function ask(id: string, all: Frames, frame: number, level: number): Promise<void> {
  const key = keyOf(id, frame, level);
  if (frames.get(key) === null) return;
  frames.set(key, null);
  try {
    const run = runOf(all, frame);
    const pictures = await runNumber(id, run, all.type);
    // What comes next is fetched early, so that playing does not wait for it.
    if (run + 1 < all.runs.length) void runNumber(id, run + 1, all.type).catch(() => undefined);
    const picture = pictures[frame - all.firsts[run]!];
    if (!picture) throw new Error('There is no such frame');
    const bitmap = await createImageBitmap(picture, {
      colorSpaceConversion: 'none',
      ...(level > 0 && {
        resizeWidth: Math.max(1, all.width >> level),
        resizeHeight: Math.max(1, all.height >> level),
        resizeQuality: 'medium' as const,
      }),
    });
    frames.set(key, framed(bitmap) ?? 'broken');
    bitmap.close();
    makeRoom();
  } catch {
    frames.set(key, 'broken');
    setTimeout(() => frames.delete(key), 3000);
  }
  if (wanted.delete(key)) arrived();
}

function runOf(all: Frames, frame: number): number {
  let at = 0;
  while (at + 1 < all.firsts.length && all.firsts[at + 1]! <= frame) at++;
  return at;
}

function runNumber(id: string, number: number, type: string): Promise<Blob[]> {
  const key = `${id}/${number}`;
  const there = runs.get(key);
  runs.delete(key);
  const run = there ?? fetchRun(id, number, type);
  runs.set(key, run);
  if (!there) run.catch(() => runs.delete(key));
  for (const first of runs.keys()) {
    if (runs.size <= MOST_RUNS) break;
    runs.delete(first);
  }
  return run;
}

/** How many, the length of each, and the pictures one after another. */
async function fetchRun(id: string, number: number, type: string): Promise<Blob[]> {
  const answer = await fetch(`/api/footage/${id}/runs/${number}`);
  if (!answer.ok) throw new Error(`The footage came with status ${answer.status}`);
  const bytes = await answer.arrayBuffer();
  const head = new DataView(bytes);
  const count = head.getUint32(0);
  let at = 4 + 4 * count;
  return Array.from({ length: count }, (_, i) => {
    const to = at + head.getUint32(4 + 4 * i);
    const picture = new Blob([bytes.slice(at, to)], { type });
    at = to;
    return picture;
  });
}

/** The first frame, until the others are there. */
function stillOf(id: string): Bitmap | undefined {
  const still = stills.get(id);
  if (still === undefined) void askStill(id);
  return still ?? undefined;
}

async function askStill(id: string): Promise<void> {
  stills.set(id, null);
  try {
    const answer = await fetch(`/api/footage/${id}/still`);
    if (!answer.ok) throw new Error(`The footage came with status ${answer.status}`);
    const bitmap = await createImageBitmap(await answer.blob(), { colorSpaceConversion: 'none' });
    const still = framed(bitmap);
    if (still) stills.set(id, still);
    bitmap.close();
  } catch {
    setTimeout(() => stills.delete(id), 3000);
  }
  arrived();
}

function makeRoom(): void {
  let pixels = 0;
  const keep = new Set(last.values());
  for (const [key, b] of [...frames].reverse()) {
    if (!b || b === 'broken') continue;
    pixels += b.width * b.height;
    if (pixels > MOST_PIXELS && !keep.has(key)) frames.delete(key);
  }
}
