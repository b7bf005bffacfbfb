import { framesPerSecond } from '../core/core';
import type { SceneDoc } from '../core/document';

/** mm:ss.ff; ff are frames. */
export function clock(doc: SceneDoc, time: number): string {
  const fps = framesPerSecond(doc.rate);
  const frame = Math.round(time * fps);
  const nominal = Math.round(fps);
  const seconds = Math.floor(frame / nominal);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(seconds / 60))}:${two(seconds % 60)}.${two(frame % nominal)}`;
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
