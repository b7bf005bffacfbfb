import { beginGesture, endGesture } from '../state/editor';

/** A page that is left in the middle of a drag keeps what it has come to. */
const ENDS = ['pointerup', 'pointercancel', 'pagehide'] as const;

/**
 * Follows a pointer from press to release, in the coordinates that {@code toScene} gives. The whole
 * drag is one step of the history.
 */
export function drag(
  e: React.PointerEvent<Element>,
  toScene: (event: { clientX: number; clientY: number }) => [number, number],
  onMove: (x: number, y: number, event: PointerEvent) => void,
  onEnd?: () => void,
): void {
  if (e.button !== 0) return;
  e.preventDefault();
  e.stopPropagation();
  // A field that was typed in would keep the keys, Ctrl Z among them, though the hand is elsewhere.
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  beginGesture();
  let waiting: PointerEvent | null = null;
  let handle = 0;
  const flush = () => {
    handle = 0;
    if (waiting) onMove(...toScene(waiting), waiting);
    waiting = null;
  };
  // The first of a frame is answered at once; of those that follow in it only the last one counts.
  const move = (m: PointerEvent) => {
    if (handle) {
      waiting = m;
      return;
    }
    handle = requestAnimationFrame(flush);
    onMove(...toScene(m), m);
  };
  const up = () => {
    window.removeEventListener('pointermove', move);
    ENDS.forEach((end) => window.removeEventListener(end, up));
    if (handle) cancelAnimationFrame(handle);
    flush();
    endGesture();
    onEnd?.();
  };
  window.addEventListener('pointermove', move);
  ENDS.forEach((end) => window.addEventListener(end, up));
}
