import type { KeyframeInfo } from '../core/core';
import type { Scale } from './scale';
import { landingLabel } from './words';

/** Where words may stand: px of the chart, from the left and the top. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** About what a letter of the chart's small type takes, px; a little more than most do. */
const LETTER = 6.2;

/** The height of a line of it. */
const LINE = 14;

/** The box of words whose baseline is at a height, from or up to a place across. */
export function wordsBox(words: string, x: number, baseline: number, toLeft: boolean): Box {
  const width = words.length * LETTER;
  return {
    left: toLeft ? x - width : x,
    right: toLeft ? x : x + width,
    top: baseline - LINE + 3,
    bottom: baseline + 3,
  };
}

const meet = (a: Box, b: Box) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** The first of some places that covers nothing of what stands there; the first where all do. */
export function freeOf<T extends { box: Box }>(places: T[], taken: Box[]): T | undefined {
  return places.find((p) => !taken.some((t) => meet(p.box, t))) ?? places[0];
}

/** From the middle of a ring to its label, px. */
const BESIDE = 13;

/** What a ring with its rim covers, px from its middle. */
const RIM = 9;

export interface RingLabel {
  text: string;
  x: number;
  toLeft: boolean;
  box: Box;
}

/** A keyframe on the chart, px. */
export interface Spot {
  info: KeyframeInfo;
  x: number;
  y: number;
}

const ringBox = ({ x, y }: Spot): Box => ({
  left: x - RIM,
  right: x + RIM,
  top: y - RIM,
  bottom: y + RIM,
});

/** The labels of rings, each where it covers no ring and no other; null where there is no room. */
export function ringLabels(
  spots: Spot[],
  scale: Pick<Scale, 'left' | 'right'>,
): (RingLabel | null)[] {
  const taken = spots.map(ringBox);
  return spots.map((s) => {
    const text = landingLabel(s.info);
    if (!text) return null;
    const inLeftHalf = s.x < (scale.left + scale.right) / 2;
    const place = (toLeft: boolean): RingLabel => {
      const x = s.x + (toLeft ? -BESIDE : BESIDE);
      return { text, x, toLeft, box: wordsBox(text, x, s.y + 4, toLeft) };
    };
    const found = freeOf([place(!inLeftHalf), place(inLeftHalf)], taken);
    if (!found || taken.some((t) => meet(t, found.box))) return null;
    taken.push(found.box);
    return found;
  });
}

/** Where the name of an easing stands: beside its segment, that it covers neither line nor handles. */
export function chipPlace(
  name: string,
  [from, to]: [number, number],
  scale: Pick<Scale, 'left' | 'right' | 'width'>,
): { left: number } | { right: number } {
  const gap = 14;
  const room = chipWidth(name);
  return (from + to) / 2 > (scale.left + scale.right) / 2 + 1
    ? { right: Math.min(scale.width - from + gap, scale.width - scale.left - room) }
    : { left: Math.min(to + gap, scale.right - room) };
}

const chipWidth = (name: string) => 24 + LETTER * name.length;

/** The box of such a name. */
export function chipBox(
  name: string,
  ends: [number, number],
  y: number,
  scale: Pick<Scale, 'left' | 'right' | 'width'>,
): Box {
  const place = chipPlace(name, ends, scale);
  const width = chipWidth(name);
  const left = 'left' in place ? place.left : scale.width - place.right - width;
  return { left, right: left + width, top: y - 12, bottom: y + 12 };
}
