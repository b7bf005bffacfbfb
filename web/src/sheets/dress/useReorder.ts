import { useRef, useState } from 'react';

/**
 * Lets the rows of a list be dragged to other places by a grip in each.
 *
 * @param onMove the row that was dragged, and its index among the others
 */
export function useReorder(onMove: (from: number, to: number) => void) {
  const list = useRef<HTMLUListElement>(null);
  const [dragged, setDragged] = useState<{ from: number; to: number } | null>(null);

  const grip = (from: number) => (e: React.PointerEvent) => {
    if (e.button !== 0) return;
    e.preventDefault();
    const target = e.currentTarget;
    target.setPointerCapture(e.pointerId);
    let to = from;
    const move = (m: Event) => {
      const y = (m as PointerEvent).clientY;
      const rows = [...(list.current?.children ?? [])].filter((_, i) => i !== from);
      to = rows.filter((row) => {
        const box = row.getBoundingClientRect();
        return box.top + box.height / 2 < y;
      }).length;
      setDragged({ from, to });
    };
    const up = (end: Event) => {
      target.removeEventListener('pointermove', move);
      target.removeEventListener('pointerup', up);
      target.removeEventListener('pointercancel', up);
      setDragged(null);
      if (end.type === 'pointerup' && to !== from) onMove(from, to);
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', up);
    target.addEventListener('pointercancel', up);
  };
  return { list, dragged, grip };
}
