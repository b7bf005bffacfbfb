import { create } from 'zustand';
import { useSyncExternalStore } from 'react';

/**
 * How the parts of the workbench share the window. Wide: sheet, stage and Journey side by side.
 * Narrow: the sheet or the Journey beside the stage. Upright: the stage above, both below it. Slim:
 * the stage above, one of the two below it.
 */
export type Layout = 'wide' | 'narrow' | 'upright' | 'slim';

const WIDE = 1100;

/** Sheet and Journey side by side, px. */
const BOTH = 700;

/** In px of CSS: a page that is zoomed is as if its window were smaller. */
export function layoutOf(width: number, height: number): Layout {
  if (width >= WIDE) return 'wide';
  if (width > height) return 'narrow';
  return width >= BOTH ? 'upright' : 'slim';
}

const now = () => layoutOf(window.innerWidth, window.innerHeight);

function watch(changed: () => void): () => void {
  window.addEventListener('resize', changed);
  return () => window.removeEventListener('resize', changed);
}

export const useLayout = (): Layout => useSyncExternalStore(watch, now);

/** From so high on a stage beside the sheet has room for the poses below it, px. */
const HIGH = 620;

const roomy = () => window.innerHeight >= HIGH && !['upright', 'slim'].includes(now());

/** Whether what stands below the stage leaves enough of it. */
export const useRoomy = (): boolean => useSyncExternalStore(watch, roomy);

/** Which of the two is seen where there is room for one. */
export const usePane = create<{ pane: 'sheet' | 'journey' }>(() => ({ pane: 'sheet' }));

export const showPane = (pane: 'sheet' | 'journey') => usePane.setState({ pane });
