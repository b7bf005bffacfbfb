import { create } from 'zustand';
import { followFootage } from '../api/client';
import * as core from '../core/core';
import type { Footage, FootagePin, PinFrame, SceneDoc } from '../core/document';
import { applyEdit, setTime, useEditor } from './editor';
import { newId } from './itemActions';
import { footageOf } from './items';
import { notify } from './notices';

type Ended = 'lost' | 'flat';

interface Pins {
  /** The pin whose marks are on the stage. */
  open: string | null;
  /** What is followed now; frames as they come. */
  running: { pin: string; frames: PinFrame[]; of: number } | null;
  /** Why following the open pin ended early, and at which moment it was sure last. */
  ended: { pin: string; why: Ended; moment: number } | null;
  /** The moment of the doubt that was gone to last. */
  looked: number;
}

export const usePins = create<Pins>(() => ({
  open: null,
  running: null,
  ended: null,
  looked: -1,
}));

/** Less sure than this, in percent, is worth a look. */
export const DOUBT = 75;

let stop: AbortController | null = null;

export function openPin(pin: string | null): void {
  usePins.setState({ open: pin, ended: null, looked: -1 });
}

/** The frame of footage that is seen at the playhead: its own time; null where none is known. */
export function frameSeen(footage: Footage): number | null {
  const moment = core.momentOf(footage.id, useEditor.getState().time);
  if (Number.isNaN(moment)) return null;
  const time = core.frameTime(footage.image, core.frameOf(footage.image, moment));
  return Number.isNaN(time) ? null : time;
}

/** Brings the playhead to where a frame of footage is seen first. */
export function goTo(footage: Footage, moment: number): void {
  setTime(core.firstSeen(footage.id, moment));
}

const NOTHING_SEEN = 'Nothing of the footage is seen at the playhead, or its frames are not ready.';

/** Where marks are before they are dragged, in shares of the footage. */
const BEGINNINGS: Record<FootagePin['by'], [number, number][]> = {
  spot: [[0.5, 0.5]],
  'two-spots': [
    [0.4, 0.5],
    [0.6, 0.5],
  ],
  corners: [
    [0.35, 0.35],
    [0.65, 0.35],
    [0.65, 0.65],
    [0.35, 0.65],
  ],
};

/** Marks something to follow, in the middle of the frame that is seen, to be dragged from there. */
export function markPin(footage: Footage, by: FootagePin['by']): void {
  const moment = frameSeen(footage);
  if (moment === null) {
    notify(NOTHING_SEEN, 'error');
    return;
  }
  const [w, h] = [footage.pixelWidth, footage.pixelHeight];
  const points = BEGINNINGS[by].map(([x, y]): [number, number] => [x * w, y * h]);
  const id = newId();
  if (applyEdit({ op: 'markPin', item: footage.id, id, by, moment, points }).length === 0)
    openPin(id);
}

/** Marks what lies within a path, as it stands at the playhead, as something flat to follow. */
export function markArea(footage: Footage, path: string): void {
  const moment = frameSeen(footage);
  if (moment === null) {
    notify(NOTHING_SEEN, 'error');
    return;
  }
  const id = newId();
  const { time } = useEditor.getState();
  if (applyEdit({ op: 'markArea', item: footage.id, id, moment, path, time }).length === 0)
    openPin(id);
}

/** Puts a mark somewhere in the frame that is seen, in pixels of the footage. */
export function setMark(footage: Footage, pin: FootagePin, mark: number, to: [number, number]) {
  const moment = frameSeen(footage);
  if (moment === null) return;
  const points = frameAt(pin, moment).points.map((p, i) => (i === mark ? to : p));
  applyEdit({ op: 'setPin', item: footage.id, pin: pin.id, moment, points }, `mark ${pin.id}`);
}

/** The frame of a moment, or the last one before it. */
export const frameAt = (pin: FootagePin, moment: number): PinFrame =>
  pin.frames[core.pinFrame(pin.id, moment)] ?? pin.frames[0]!;

/** Follows again from the frame that is seen, if it was followed before and is set by hand. */
export function followAgain(footage: string, pin: string): void {
  const { doc } = useEditor.getState();
  const f = footageOf(doc, footage);
  const p = f?.pins?.find((o) => o.id === pin);
  const moment = f && frameSeen(f);
  if (p && moment != null && p.frames.length > 1 && frameAt(p, moment).how === 'set')
    void follow(footage, pin);
}

export function stopFollowing(): void {
  stop?.abort();
}

/**
 * Follows a pin from the frame that is seen, or the one nearest before it in which its place is
 * known; on and back, as far as the footage is shown, or up to frames that are set by hand.
 */
export async function follow(footage: string, pin: string): Promise<void> {
  stop?.abort();
  const own = new AbortController();
  stop = own;
  usePins.setState({ ended: null });
  const [f, p] = pinIn(useEditor.getState().doc, footage, pin);
  const seen = f && frameSeen(f);
  try {
    if (!f || !p || seen == null) return;
    // The playhead may go elsewhere meanwhile.
    const from = frameAt(p, seen);
    for (const way of [1, -1] as const) {
      if (own.signal.aborted || !(await followOne(f, p, from, way, own))) break;
    }
  } finally {
    if (stop === own) {
      stop = null;
      usePins.setState({ running: null });
    }
  }
}

const pinIn = (doc: SceneDoc | null, footage: string, pin: string) => {
  const f = footageOf(doc, footage);
  return [f, f?.pins?.find((p) => p.id === pin)] as const;
};

/** One way; false where it makes no sense to go on. */
async function followOne(
  f: Footage,
  p: FootagePin,
  { time: moment, points }: PinFrame,
  way: 1 | -1,
  own: AbortController,
) {
  const until = core.followedUntil(p.id, moment, way > 0);
  const frames: PinFrame[] = [];
  const of = Math.round(Math.abs(until - moment) * f.rate);
  const tell = () => usePins.setState({ running: { pin: p.id, frames: [...frames], of } });
  if (of === 0) return true;
  tell();
  let why: 'done' | 'lost' | 'flat' | null = null;
  try {
    why = await followFootage(
      f.image,
      { moment, until, points, area: p.area ?? [] },
      own.signal,
      (frame) => {
        frames.push(frame);
        if (frames.length % 5 === 0) tell();
      },
    );
  } catch (e) {
    if (!own.signal.aborted) notify((e as Error).message, 'error');
  }
  const last = frames.at(-1);
  frames.sort((a, b) => a.time - b.time);
  // What came before it was stopped is kept, if what it belongs to is still there.
  const [still, there] = pinIn(useEditor.getState().doc, f.id, p.id);
  if (frames.length > 0 && there && still?.image === f.image)
    applyEdit({ op: 'followPin', item: f.id, pin: p.id, moment, frames }, `follow ${p.id}`);
  if (why === 'lost' || why === 'flat')
    usePins.setState({ ended: { pin: p.id, why, moment: last?.time ?? moment } });
  return why === 'done' || why === 'lost';
}
