import { create } from 'zustand';
import { framesPerSecond } from '../core/core';
import { clock, timeWords } from '../stage/time';
import { useEditor } from './editor';

const KEY = 'roving-times';

/** Whether times are told in frames of the scene, and not in seconds; the same everywhere. */
export const useTimeUnit = create<{ frames: boolean }>(() => ({
  frames: localStorage.getItem(KEY) === 'frames',
}));

useTimeUnit.subscribe((s) => localStorage.setItem(KEY, s.frames ? 'frames' : 'seconds'));

export const toggleFrames = () => useTimeUnit.setState((s) => ({ frames: !s.frames }));

/** How many frames of the open scene there are in a second. */
export const useFps = () => useEditor((s) => framesPerSecond(s.doc?.rate ?? '25'));

/** Tells times of the open scene in the unit that is in use. */
export function useTimeWords(): (time: number, decimals?: number) => string {
  const fps = useFps();
  const frames = useTimeUnit((s) => s.frames);
  return (time, decimals) => timeWords(time, fps, frames, decimals);
}

/** The same as a clock has it: minutes, seconds and frames, or the number of the frame. */
export function useClock(): (time: number) => string {
  const fps = useFps();
  const rate = useEditor((s) => s.doc?.rate ?? '25');
  const frames = useTimeUnit((s) => s.frames);
  return (time) => (frames ? timeWords(time, fps, true) : clock({ rate }, time));
}
