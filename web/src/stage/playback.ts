import { create } from 'zustand';
import { framesPerSecond } from '../core/core';
import { useEditor } from '../state/editor';
import { framesReady, lookAhead } from './footage';
import { hear, hush } from './sound';
import { playedFrames } from '../state/range';

interface Playing {
  /** Frames shown per second; null while still, and where frames are left out by intent. */
  rate: number | null;
  /** Times as fast as it is, below 0 backwards. */
  speed: number;
}

export const useAchieved = create<Playing>(() => ({ rate: null, speed: 1 }));

/** Times as fast as it is, at most. */
const FASTEST = 8;

let handle = 0;

/** Plays on or backwards; faster each time it is asked for again. */
export function shuttle(way: 1 | -1): void {
  const { playing } = useEditor.getState();
  const { speed } = useAchieved.getState();
  const again = playing && Math.sign(speed) === way;
  cancelAnimationFrame(handle);
  play(again ? way * Math.min(Math.abs(speed) * 2, FASTEST) : way);
}

/**
 * Plays in real time, or so many times as fast: the frame that belongs to the clock is shown, and
 * frames for which there is no time are left out. Only what plays as it is is heard.
 */
export function play(speed = 1): void {
  const { doc, time, loop } = useEditor.getState();
  if (!doc) return;
  const fps = framesPerSecond(doc.rate);
  const [low, high] = playedFrames();
  const frames = high - low;
  const here = Math.round(time * fps);
  const first = here < low || here >= high ? (speed > 0 ? low : high - 1) : here;
  const atEnd = speed > 0 ? first >= high - 1 : first <= low;
  const begin = loop || !atEnd ? first : speed > 0 ? low : high - 1;
  // Times outside come round; these are s.
  const [from, span] = [low / fps, frames / fps];
  const round = (t: number) => from + ((((t - from) % span) + span) % span);
  const started = performance.now();
  let shown: number[] = [];
  let last = -1;
  useAchieved.setState({ rate: null, speed });
  hush();
  useEditor.setState({ playing: true });
  const tick = (now: number) => {
    const seconds = (Math.max(now, started) - started) / 1000;
    const gone = begin + Math.sign(speed) * Math.floor(seconds * fps * Math.abs(speed));
    const over = !useEditor.getState().loop && (gone >= high || gone < low);
    const lap = (((gone - low) % frames) + frames) % frames;
    const frame = over ? (gone < low ? low : high - 1) : low + lap;
    // A frame of footage that has not come yet is waited for: never is another shown in its place.
    if (frame !== last && framesReady(frame / fps)) {
      last = frame;
      shown = [...shown.filter((t) => now - t < 1000), now];
      useEditor.setState({ time: frame / fps });
      const measured = now - (shown[0] ?? now);
      if (speed > 0) lookAhead(frame / fps, fps, round);
      if (measured > 400 && speed === 1)
        useAchieved.setState({ rate: ((shown.length - 1) / measured) * 1000 });
    }
    if (speed === 1) hear(round(begin / fps + seconds));
    if (over) pause();
    else handle = requestAnimationFrame(tick);
  };
  handle = requestAnimationFrame(tick);
}

export function pause(): void {
  useEditor.setState({ playing: false });
}

// What stops the playing, and what begins it anew, may come from anywhere.
useEditor.subscribe((now, before) => {
  if (before.playing && !now.playing) {
    cancelAnimationFrame(handle);
    hush();
    useAchieved.setState({ rate: null });
  } else if (now.playing && before.playing && now.doc && before.doc) {
    const other = now.doc.rate !== before.doc.rate || now.doc.length !== before.doc.length;
    if (other || now.range !== before.range) {
      cancelAnimationFrame(handle);
      play(useAchieved.getState().speed);
    }
  }
});
