import { create } from 'zustand';
import { useEditor } from '../state/editor';
import { letteringOf } from '../state/items';

const KEY = 'roving-puck-told';

/** Whether the ring on the path was tried in this browser. */
const usePuckTold = create<{ told: boolean }>(() => ({
  told: localStorage.getItem(KEY) === 'yes',
}));

export function puckTold(): void {
  if (usePuckTold.getState().told) return;
  localStorage.setItem(KEY, 'yes');
  usePuckTold.setState({ told: true });
}

/** What the ring on the path is for, until it was dragged once; below the frame, out of its way. */
export function PuckHint() {
  const told = usePuckTold((s) => s.told);
  const there = useEditor(
    (s) =>
      (s.tab === 'seat' || s.tab === 'move') &&
      !s.playing &&
      s.drawing === null &&
      letteringOf(s.doc, s.selected) !== undefined,
  );
  if (told || !there) return null;
  return (
    <p
      className="pointer-events-none absolute inset-x-0 bottom-1 mx-auto w-fit max-w-[90%] rounded-full bg-ink px-3 py-0.5 text-center text-[12px] text-sheet"
      data-testid="puck-hint"
    >
      <svg viewBox="0 0 16 16" className="mr-1.5 inline size-3.5" aria-hidden="true">
        <circle cx="8" cy="8" r="5" className="fill-sheet stroke-teal" strokeWidth="3" />
      </svg>
      Drag the ring along its path: the words go with it.
    </p>
  );
}
