import { framesPerSecond } from '../core/core';
import { useEditor } from './editor';

/**
 * The frames that are played: all of the scene's, or those of the range that is kept.
 *
 * @returns the first one and the one after the last
 */
export function playedFrames(): [number, number] {
  const { doc, range } = useEditor.getState();
  if (!doc) return [0, 1];
  const fps = framesPerSecond(doc.rate);
  const frames = Math.max(1, Math.round(doc.length * fps));
  if (!range) return [0, frames];
  const first = Math.min(Math.max(Math.round(range[0] * fps), 0), frames - 1);
  return [first, Math.min(Math.max(Math.round(range[1] * fps), first + 1), frames)];
}

/** Plays only what lies between two times, s; all of the scene again where nothing is left out. */
export function playBetween(from: number, to: number): void {
  const { doc } = useEditor.getState();
  if (!doc) return;
  const frame = 1 / framesPerSecond(doc.rate);
  const first = Math.min(Math.max(Math.min(from, to), 0), doc.length - frame);
  const end = Math.min(Math.max(from, to, first + frame), doc.length);
  const all = first < frame / 2 && end > doc.length - frame / 2;
  useEditor.setState({ range: all ? null : [first, end] });
}

export const playAll = () => useEditor.setState({ range: null });

/** Plays from the playhead on; up to the same end if that lies behind it. */
export function playFromHere(): void {
  const { time, range, doc } = useEditor.getState();
  const end = range?.[1] ?? doc?.length ?? 0;
  playBetween(time, end > time ? end : (doc?.length ?? 0));
}

/** Plays up to the playhead, with the frame that is seen there as the last one. */
export function playToHere(): void {
  const { time, range, doc } = useEditor.getState();
  const end = time + 1 / framesPerSecond(doc?.rate ?? '25');
  const begin = range?.[0] ?? 0;
  playBetween(begin < end ? begin : 0, end);
}
