import { create } from 'zustand';
import { useEditor } from './editor';

/** After so long without another change, ms, the playhead counts as resting. */
const REST = 90;

/** Where the playhead rests, s. */
export const useResting = create<{ time: number }>(() => ({ time: useEditor.getState().time }));

let moved = -Infinity;
let waiting: ReturnType<typeof setTimeout> | undefined;

function settle(): void {
  clearTimeout(waiting);
  useResting.setState({ time: useEditor.getState().time });
}

// A jump is followed at once, a scrub when it begins and ends, the playing not before it ends.
useEditor.subscribe((now, before) => {
  if (now.time === before.time && now.playing === before.playing) return;
  if (now.playing) return clearTimeout(waiting);
  const since = performance.now() - moved;
  moved = performance.now();
  if (before.playing || since > REST) return settle();
  clearTimeout(waiting);
  waiting = setTimeout(settle, REST);
});

/**
 * The time that the sheets show: where the playhead rests. They are not drawn anew for every frame
 * that is played or scrubbed over; edits go to the playhead itself.
 */
export function useRestingTime(): number {
  return useResting((s) => s.time);
}
