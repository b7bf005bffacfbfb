import { framesPerSecond } from '../core/core';
import type { SceneDoc } from '../core/document';
import { shown, withUnits } from '../ui/arithmetic';

/** mm:ss.ff; ff are frames. */
export function clock(doc: Pick<SceneDoc, 'rate'>, time: number): string {
  const fps = framesPerSecond(doc.rate);
  const frame = Math.round(time * fps);
  const nominal = Math.round(fps);
  const seconds = Math.floor(frame / nominal);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(seconds / 60))}:${two(seconds % 60)}.${two(frame % nominal)}`;
}

/** A time in words, in seconds or in frames of the scene. */
export function timeWords(time: number, fps: number, inFrames: boolean, decimals = 2): string {
  return inFrames ? `${shown(time * fps, 2)} f` : `${shown(time, decimals)} s`;
}

/**
 * The time that is meant by a text, s: a number of the unit that is in use, "30f" or "1.2s", or
 * minutes, seconds and frames as in "00:01.05".
 *
 * @returns the time, or why there is none
 */
export function readTime(text: string, fps: number, inFrames: boolean): number | string {
  const parts = /^\s*(-?)(\d+):(\d{1,2})(?:[.:;,](\d+))?\s*$/.exec(text);
  if (!parts) {
    const unit = inFrames ? 'f' : 's';
    const found = withUnits(text, unit, inFrames ? { s: (v) => v * fps } : { f: (v) => v / fps });
    if (typeof found === 'string') {
      return `“${text}” is no time: write 1.2s, 30f or 00:01.05; the old one stands`;
    }
    return inFrames ? found / fps : found;
  }
  const [minutes, seconds, frames] = [parts[2], parts[3], parts[4] ?? 0].map(Number) as [
    number,
    number,
    number,
  ];
  const nominal = Math.round(fps);
  if (seconds > 59) return `“${text}” has more than 59 seconds in a minute; the old time stands`;
  if (frames >= nominal) {
    return `“${text}” has frame ${frames} of a second of ${nominal}; the old time stands`;
  }
  const sum = ((minutes * 60 + seconds) * nominal + frames) / fps;
  return parts[1] === '-' ? -sum : sum;
}

export const RATES: { value: string; label: string }[] = [
  { value: '24000/1001', label: '23.976' },
  { value: '24', label: '24' },
  { value: '25', label: '25' },
  { value: '30000/1001', label: '29.97' },
  { value: '30', label: '30' },
  { value: '50', label: '50' },
  { value: '60', label: '60' },
];

export function rateLabel(rate: string): string {
  return RATES.find((r) => r.value === rate)?.label ?? rate;
}
