/** From value and time to chart pixels and back. */
export interface Scale {
  width: number;
  height: number;
  left: number;
  right: number;
  from: number;
  to: number;
  seconds: number;
  /** The part of the scene in view, seconds. */
  first: number;
  last: number;
  /** Length of the path, or null where no path is charted. */
  length: number | null;
  x: (value: number) => number;
  y: (time: number) => number;
  value: (x: number) => number;
  time: (y: number) => number;
}

const LEFT = 40;
const RIGHT = 14;
const TOP = 8;
const BOTTOM = 14;

/**
 * The least and greatest value that the chart is to hold: the whole movement, and all of a path. Of
 * a value that stands still, as much to both sides as it is likely to be moved, by its unit.
 */
export function extent(
  samples: Float64Array,
  length: number | null,
  unit = 'px',
): [number, number] {
  let low = length === null ? Infinity : 0;
  let high = length ?? -Infinity;
  for (let i = 0; i < samples.length; i += 4) {
    low = Math.min(low, samples[i + 1]!);
    high = Math.max(high, samples[i + 1]!);
  }
  if (high > low) return [low, high];
  if (!Number.isFinite(low)) return [0, 100];
  const beside = unit === '' || unit === 'em' ? Math.max(Math.abs(low) / 2, 0.5) : 50;
  return [low - beside, low + beside];
}

/** How many decimals tell values apart that lie in this range. */
export function decimalsOf(range: number): number {
  return range >= 20 ? 0 : range >= 2 ? 1 : range >= 0.2 ? 2 : 3;
}

/** A chart of these values, of a path with less room beside them. */
export function scaleOf(
  [low, high]: [number, number],
  length: number | null,
  width: number,
  height: number,
  seconds: number,
  view: { zoom: number; start: number } = { zoom: 1, start: 0 },
): Scale {
  const pad = (high - low) * (length === null ? 0.12 : 0.08);
  const [from, to] = [low - pad, high + pad];
  const [left, right] = [LEFT, Math.max(LEFT + 1, width - RIGHT)];
  const across = (right - left) / (to - from);
  const down = (Math.max(1, height - TOP - BOTTOM) / seconds) * view.zoom;
  return {
    width,
    height,
    left,
    right,
    from,
    to,
    seconds,
    first: view.start,
    last: Math.min(seconds, view.start + seconds / view.zoom),
    length,
    x: (v) => left + (v - from) * across,
    y: (t) => TOP + (t - view.start) * down,
    value: (x) => from + (x - left) / across,
    time: (y) => view.start + (y - TOP) / down,
  };
}
