import type { KeyframeInfo } from '../core/core';
import type { EasingName, LandingName } from '../core/document';

export const EASINGS: { value: EasingName; label: string }[] = [
  { value: 'linear', label: 'Steady' },
  { value: 'ease-in', label: 'Gentle start' },
  { value: 'ease-out', label: 'Gentle stop' },
  { value: 'ease-in-out', label: 'Gentle both' },
  { value: 'overshoot', label: 'Overshoot' },
  { value: 'spring', label: 'Spring' },
  { value: 'bounce', label: 'Bounce' },
  { value: 'hold', label: 'Hold' },
  { value: 'steps', label: 'Steps' },
  { value: 'own', label: 'Own curve' },
];

export const LANDINGS: { value: LandingName | 'none'; label: string }[] = [
  { value: 'none', label: 'A plain value' },
  { value: 'out-before', label: 'Just out of frame, before' },
  { value: 'out-after', label: 'Just out of frame, after' },
  { value: 'inside-before', label: 'Just inside the frame, before' },
  { value: 'inside-after', label: 'Just inside the frame, after' },
  { value: 'at-rest', label: 'At rest' },
  { value: 'centred', label: 'Centred in frame' },
  { value: 'whole-laps', label: 'Whole laps' },
  { value: 'facing-front', label: 'Facing the front' },
  { value: 'at-the-back', label: 'Hidden at the back' },
];

const IN_DEPTH: (LandingName | 'none')[] = ['facing-front', 'at-the-back'];

/** The landings to choose from; front and back only where something is turned in space, or chosen. */
export const landings = (inDepth: boolean, chosen: LandingName | undefined) =>
  LANDINGS.filter((l) => inDepth || l.value === chosen || !IN_DEPTH.includes(l.value));

/** What a ring on the chart is called. */
export function landingLabel(k: KeyframeInfo): string {
  if (k.landing === 'out-before' || k.landing === 'out-after') return 'Just out of frame';
  if (k.landing === 'inside-before' || k.landing === 'inside-after') return 'Just inside';
  if (k.landing === 'at-rest') return 'At rest';
  if (k.landing === 'centred') return 'Centred';
  if (k.landing === 'facing-front') return 'In front';
  if (k.landing === 'at-the-back') return 'At the back';
  if (k.landing === 'whole-laps') return k.laps === 1 ? 'One lap' : `${k.laps} laps`;
  return '';
}

/** What the way between two keyframes is called; a rest with how long it is. */
export function easingLabel(
  a: KeyframeInfo,
  b: KeyframeInfo,
  words: (time: number, decimals: number) => string,
): string {
  if (a.value === b.value || a.easing === 'hold') return `Hold ${words(b.time - a.time, 1)}`;
  return EASINGS.find((e) => e.value === a.easing)?.label ?? a.easing;
}
