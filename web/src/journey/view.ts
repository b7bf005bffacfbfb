import { create } from 'zustand';
import type { Channel } from '../core/document';

interface View {
  /** How many times larger than the whole scene time is drawn. */
  zoom: number;
  /** The first time in view, seconds. */
  start: number;
  /** Values charted small beside the large chart. */
  lanes: Channel[];
  speed: boolean;
  table: boolean;
}

/** What of the Journey is in view; not part of the document. */
export const useView = create<View>(() => ({
  zoom: 1,
  start: 0,
  lanes: [],
  speed: false,
  table: false,
}));

const inside = (start: number, zoom: number, seconds: number) =>
  Math.min(Math.max(start, 0), Math.max(0, seconds - seconds / zoom));

/** Zooms time about a place that stays where it is. */
export function zoomAt(time: number, factor: number, seconds: number): void {
  const { zoom, start } = useView.getState();
  const next = Math.min(Math.max(zoom * factor, 1), 40);
  useView.setState({
    zoom: next,
    start: inside(time - ((time - start) * zoom) / next, next, seconds),
  });
}

export function scrollBy(by: number, seconds: number): void {
  const { zoom, start } = useView.getState();
  useView.setState({ start: inside(start + by, zoom, seconds) });
}

export function toggleLane(channel: Channel): void {
  const { lanes } = useView.getState();
  const without = lanes.filter((c) => c !== channel);
  useView.setState({
    lanes: without.length < lanes.length ? without : [...lanes, channel].slice(-3),
  });
}

/** Copied keyframes, to be pasted here or elsewhere. */
export const useCopied = create<{ keys: unknown[] }>(() => ({ keys: [] }));
