import { useEffect, type RefObject } from 'react';
import type { Pair } from '../core/document';
import { isHandHeld, panned } from './hand';
import { fit, panBy, useView, zoomBy } from './view';

/** Zoom of one pixel that a wheel tells. */
const PER_PIXEL = 1.0025;

/** Pixels of a line that a wheel tells instead. */
const LINE = 18;

/**
 * Lets the picture be moved and zoomed: by the wheel with Ctrl about the pointer, by two fingers on
 * a pad or on the screen, by the middle button, and with Space held.
 */
export function usePanZoom(box: RefObject<HTMLElement | null>, on: boolean): void {
  useEffect(() => {
    const element = box.current;
    if (!element || !on) return;
    const place = (e: { clientX: number; clientY: number }): Pair => {
      const { left, top } = element.getBoundingClientRect();
      return [e.clientX - left, e.clientY - top];
    };
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      const by = e.deltaMode === 1 ? LINE : 1;
      if (e.ctrlKey) zoomBy(PER_PIXEL ** (-e.deltaY * by), place(e));
      else if (e.shiftKey && e.deltaX === 0) panBy(-e.deltaY * by, 0);
      else panBy(-e.deltaX * by, -e.deltaY * by);
    };
    const ends = [watchHand(element), watchFingers(element, place)];
    element.addEventListener('wheel', wheel, { passive: false });
    return () => {
      element.removeEventListener('wheel', wheel);
      ends.forEach((end) => end());
    };
  }, [box, on]);
}

/** The middle button, or Space held: nothing of the scene is touched by these presses. */
function watchHand(element: HTMLElement): () => void {
  const down = (e: PointerEvent) => {
    if (e.button !== 1 && !(e.button === 0 && isHandHeld())) return;
    e.preventDefault();
    e.stopPropagation();
    panned();
    let [x, y] = [e.clientX, e.clientY];
    const move = (m: PointerEvent) => {
      if (m.pointerId !== e.pointerId) return;
      panBy(m.clientX - x, m.clientY - y);
      [x, y] = [m.clientX, m.clientY];
    };
    const up = (u: PointerEvent) => {
      if (u.pointerId !== e.pointerId) return;
      element.style.cursor = '';
      window.removeEventListener('pointermove', move);
      ['pointerup', 'pointercancel'].forEach((end) =>
        window.removeEventListener(end, up as EventListener),
      );
    };
    element.style.cursor = 'grabbing';
    window.addEventListener('pointermove', move);
    ['pointerup', 'pointercancel'].forEach((end) =>
      window.addEventListener(end, up as EventListener),
    );
  };
  element.addEventListener('pointerdown', down, { capture: true });
  return () => element.removeEventListener('pointerdown', down, { capture: true });
}

/** Two fingers on the screen: what is under them stays under them. */
function watchFingers(element: HTMLElement, place: (t: Touch) => Pair): () => void {
  let before: { middle: Pair; far: number } | null = null;
  const of = (e: TouchEvent) => {
    const [a, b] = [place(e.touches[0]!), place(e.touches[1]!)];
    const middle: Pair = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
    return { middle, far: Math.max(Math.hypot(a[0] - b[0], a[1] - b[1]), 1) };
  };
  const begin = (e: TouchEvent) => {
    before = e.touches.length === 2 ? of(e) : null;
  };
  const move = (e: TouchEvent) => {
    if (!before || e.touches.length !== 2) return;
    e.preventDefault();
    const next = of(e);
    panBy(next.middle[0] - before.middle[0], next.middle[1] - before.middle[1]);
    zoomBy(next.far / before.far, next.middle);
    before = next;
  };
  element.addEventListener('touchstart', begin, { passive: true });
  element.addEventListener('touchmove', move, { passive: false });
  element.addEventListener('touchend', begin, { passive: true });
  return () => {
    element.removeEventListener('touchstart', begin);
    element.removeEventListener('touchmove', move);
    element.removeEventListener('touchend', begin);
  };
}

/** Keeps the size of the stage known. */
export function useRoom(box: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const tell = () => useView.setState({ room: [element.clientWidth, element.clientHeight] });
    const observer = new ResizeObserver(tell);
    observer.observe(element);
    tell();
    return () => {
      observer.disconnect();
      fit();
    };
  }, [box]);
}
