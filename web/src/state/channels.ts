import type { Channel, SceneDoc } from '../core/document';
import { useEditor } from './editor';
import { letteringOf, placedOf } from './items';

export const MAIN: Channel[] = [
  'pathOffset',
  'startMargin',
  'endMargin',
  'baselineShift',
  'size',
  'opacity',
  'rotation',
];
export const MORE: Channel[] = ['tracking', 'wordSpacing', 'letterTurn', 'fixedAngle'];
export const SHOWN: Channel[] = ['revealFrom', 'revealTo', 'sweepFrom', 'sweepTo'];
export const OF_PLACED: Channel[] = ['x', 'y', 'scale', 'rotation', 'opacity'];

/** Every value of an item that can be charted, in the order of the sheet. */
export function channelsOf(doc: SceneDoc | null, id: string | null): Channel[] {
  const lettering = letteringOf(doc, id);
  if (lettering) {
    const axes = Object.keys(lettering.axes).map((tag) => `axis-${tag}`);
    const trail = lettering.trail ? ['trailFrom', 'trailTo'] : [];
    return [...MAIN, ...MORE, ...SHOWN, ...trail, 'fill', ...axes];
  }
  return placedOf(doc, id) ? OF_PLACED : [];
}

type State = ReturnType<typeof useEditor.getState>;

/** The value that is charted: the one asked for, if the chosen item has it, else its first. */
export function chartedOf({ doc, selected, charted }: State): Channel {
  const all = channelsOf(doc, selected);
  return all.includes(charted) ? charted : (all[0] ?? charted);
}
