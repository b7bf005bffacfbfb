import { create } from 'zustand';
import { framesPerSecond } from '../core/core';
import { useEditor } from '../state/editor';
import { framesReady, lookAhead } from './footage';
import { hear, hush } from './sound';

/** Frames shown per second while playing; null while still. */
export const useAchieved = create<{ rate: number | null }>(() => ({ rate: null }));

let handle = 0;

/**
 * Plays in real time: the frame that belongs to the clock is shown, and frames for which there is
 * no time are left out.
 */
export function play(): void {
  const { doc, time, loop } = useEditor.getState();
  if (!doc) return;
  const fps = framesPerSecond(doc.rate);
  const frames = Math.max(1, Math.round(doc.length * fps));
  const first = Math.round(time * fps);
  const begin = !loop && first >= frames - 1 ? 0 : first;
  const started = performance.now();
  let shown: number[] = [];
  let last = -1;
  useEditor.setState({ playing: true });
  const tick = (now: number) => {
    const gone = begin + Math.floor(((Math.max(now, started) - started) / 1000) * fps);
    const over = !useEditor.getState().loop && gone >= frames;
    const frame = over ? frames - 1 : gone % frames;
    // A frame of footage that has not come yet is waited for: never is another shown in its place.
    if (frame !== last && framesReady(frame / fps)) {
      last = frame;
      shown = [...shown.filter((t) => now - t < 1000), now];
      useEditor.setState({ time: frame / fps });
      const span = now - (shown[0] ?? now);
      lookAhead(frame / fps, fps, frames / fps);
      if (span > 400) useAchieved.setState({ rate: ((shown.length - 1) / span) * 1000 });
    }
    hear((begin / fps + (Math.max(now, started) - started) / 1000) % (frames / fps));
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
    if (now.doc.rate !== before.doc.rate || now.doc.length !== before.doc.length) {
      cancelAnimationFrame(handle);
      play();
    }
  }
});
