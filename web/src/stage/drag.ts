import { beginGesture, endGesture, undo, useEditor } from '../state/editor';

/** A page that is left in the middle of a drag keeps what it has come to. */
const ENDS = ['pointerup', 'pointercancel', 'pagehide'] as const;

/**
 * Follows a pointer from press to release, in the coordinates that {@code toScene} gives. The whole
 * drag is one step of the history. Other pointers do not count; a second finger means to move the
 * picture, and what the first did until then is taken back.
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
  const { pointerId } = e;
  const steps = useEditor.getState().past.length;
  let waiting: PointerEvent | null = null;
  let handle = 0;
  const flush = () => {
    handle = 0;
    if (waiting) onMove(...toScene(waiting), waiting);
    waiting = null;
  };
  // The first of a frame is answered at once; of those that follow in it only the last one counts.
  const move = (m: PointerEvent) => {
    if (m.pointerId !== pointerId) return;
    if (m.pointerType === 'mouse' && m.buttons === 0) {
      // It was let go where the page could not see it.
      end();
      return;
    }
    if (handle) {
      waiting = m;
      return;
    }
    handle = requestAnimationFrame(flush);
    onMove(...toScene(m), m);
  };
  const up = (u: Event) => {
    if (!(u instanceof PointerEvent) || u.pointerId === pointerId) end();
  };
  const second = (d: PointerEvent) => {
    if (d.pointerType !== 'touch' || e.pointerType !== 'touch' || d.pointerId === pointerId) return;
    end();
    if (useEditor.getState().past.length > steps) undo();
  };
  const end = () => {
    window.removeEventListener('pointermove', move);
    window.removeEventListener('pointerdown', second, { capture: true });
    ENDS.forEach((name) => window.removeEventListener(name, up));
    if (handle) cancelAnimationFrame(handle);
    flush();
    endGesture();
    onEnd?.();
  };
  window.addEventListener('pointermove', move);
  window.addEventListener('pointerdown', second, { capture: true });
  ENDS.forEach((name) => window.addEventListener(name, up));
}
