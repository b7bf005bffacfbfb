import { useLayoutEffect, useRef } from 'react';

/** How far the ends of a row fade where there is more, px. */
const FADE = 28;

/**
 * For a row that scrolls sideways: it fades out to where there is more of it. Give the ref to the
 * row; {@code content} is what it shows, by which its length may change.
 */
export function useFadingEdges<E extends HTMLElement>(content: unknown) {
  const row = useRef<E>(null);
  useLayoutEffect(() => {
    const element = row.current;
    if (!element) return;
    const fade = () => {
      const left = element.scrollLeft;
      const right = element.scrollWidth - element.clientWidth - left;
      const [a, b] = [left > 1 ? FADE : 0, right > 1 ? FADE : 0];
      element.style.maskImage = `linear-gradient(90deg, transparent, #000 ${a}px, #000 calc(100% - ${b}px), transparent)`;
    };
    fade();
    const observer = new ResizeObserver(fade);
    observer.observe(element);
    element.addEventListener('scroll', fade, { passive: true });
    return () => {
      observer.disconnect();
      element.removeEventListener('scroll', fade);
    };
  }, [content]);
  return row;
}
