import type { Channel, ColourField, FilledPath, Lettering, SceneDoc } from '../core/document';
import { useEditor } from './editor';
import { bitmappedOf, cutOf, fieldOf, filledPathOf, letteringOf, placedOf } from './items';

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

/** Of a foreground cut, in the order of its sheet. */
export const OF_CUT: Channel[] = ['cutEdge', 'grow', 'opacity'];

/** Of an item that a path carries; the core names them among {@link appearanceOf}. */
export const OF_RIDE: Channel[] = ['rideOffset', 'rideShift', 'rideGap'];

/** Of a picture: all of it, whatever is cropped, and how much of it is cut off. */
export const OF_PICTURE: Channel[] = ['width', 'height'];
export const OF_CROP: Channel[] = ['cropLeft', 'cropTop', 'cropRight', 'cropBottom'];

/** Of a filled path; its colour counts for something only where it is filled. */
export function channelsOfFilledPath(item: FilledPath): Channel[] {
  return ['opacity', ...(item.filled ? ['fill'] : []), 'strokeWidth', 'stroke'];
}

const OF_GRADIENT: Channel[] = ['fromX', 'fromY', 'toX', 'toY'];

/** Of letters that are graded, the values of the gradient that count for something. */
export function gradientOf({ filling, across }: Lettering): Channel[] {
  if (filling !== 'linear' && filling !== 'radial') return [];
  return across === 'run' || across === 'path' ? ['fromX', 'toX'] : OF_GRADIENT;
}

/** The values of a colour field that count for something, as it is filled. */
export function channelsOfField(field: ColourField): Channel[] {
  const area = field.area === 'frame' ? ['opacity'] : [...OF_PLACED, 'width', 'height'];
  return [...area, ...(field.filling === 'plain' ? ['fill'] : OF_GRADIENT)];
}

/** The values of an item's effects, its clip and its ride; the core names them. */
export function appearanceOf(id: string | null): Channel[] {
  return useEditor.getState().summary?.items[id ?? '']?.appearance ?? [];
}

/** Every value of an item that can be charted, in the order of the sheet. */
export function channelsOf(doc: SceneDoc | null, id: string | null): Channel[] {
  const lettering = letteringOf(doc, id);
  if (lettering) {
    const axes = Object.keys(lettering.axes).map((tag) => `axis-${tag}`);
    const trail = lettering.trail ? ['trailFrom', 'trailTo'] : [];
    const graded = gradientOf(lettering);
    return [...MAIN, ...MORE, ...SHOWN, ...trail, 'fill', ...graded, ...axes, ...appearanceOf(id)];
  }
  const field = fieldOf(doc, id);
  if (field) return [...channelsOfField(field), ...appearanceOf(id)];
  const filled = filledPathOf(doc, id);
  if (filled) return [...channelsOfFilledPath(filled), ...appearanceOf(id)];
  if (cutOf(doc, id)) return [...OF_CUT, ...appearanceOf(id)];
  if (bitmappedOf(doc, id)) return [...OF_PLACED, ...OF_PICTURE, ...OF_CROP, ...appearanceOf(id)];
  return placedOf(doc, id) ? [...OF_PLACED, ...appearanceOf(id)] : [];
}

type State = ReturnType<typeof useEditor.getState>;

/** The value that is charted: the one asked for, if the chosen item has it, else its first. */
export function chartedOf({ doc, selected, charted }: State): Channel {
  const all = channelsOf(doc, selected);
  return all.includes(charted) ? charted : (all[0] ?? charted);
}
