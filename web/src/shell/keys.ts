import * as core from '../core/core';
import { stepFrame } from '../stage/Transport';
import { pathOf, useEditor } from '../state/editor';
import { fieldOf, isLocked, itemOf, letteringOf, placedOf } from '../state/items';
import { editPath } from '../state/paths';
import { chosenWith, setValue } from '../state/values';
import { keyOf, runKey } from './actions';

/**
 * Keys that are in the table of actions and done elsewhere: Space is held to move the picture and
 * plays when it is let go, and the browser tells of copying, cutting and pasting by itself.
 */
const ELSEWHERE = ['Space', 'ctrl+c', 'ctrl+x', 'ctrl+v'];

/** Keys that work wherever nothing is being typed; the list of actions opens from fields too. */
export function onKey(e: KeyboardEvent): void {
  const target = e.target as HTMLElement;
  const typing =
    target.matches('input:not([type=range]):not([type=checkbox]), textarea, select') ||
    target.isContentEditable;
  const key = keyOf(e);
  if (document.querySelector('[role=dialog]')) return;
  // What a field does with it, such as taking back what was typed, it has done by now.
  if (typing && key === 'Escape') target.blur();
  if ((typing && key !== 'ctrl+k') || ELSEWHERE.includes(key)) return;
  const arrows = key.startsWith('Arrow') && !usesArrows(target) && !useEditor.getState().drawing;
  if (arrows) nudge(e);
  if (arrows || runKey(key)) e.preventDefault();
}

/** Fields, menus and lists have a use of their own for them; the buttons round the stage have not. */
function usesArrows(target: HTMLElement): boolean {
  return target.matches('input, button, [role=menuitem]') && !target.matches('main button');
}

/** What arrow keys change, level and upright. */
const PLACE = ['x', 'y'] as const;
const SEAT = ['pathOffset', 'baselineShift'] as const;
const RIDE = ['rideOffset', 'rideShift'] as const;

/**
 * The chosen points or the path, else what is placed, else the lettering: along and across. Where
 * nothing is chosen, time.
 */
function nudge(e: KeyboardEvent): void {
  const { doc, selected, points, tab, time } = useEditor.getState();
  const by = e.shiftKey ? 10 : 1;
  const dx = e.key === 'ArrowRight' ? by : e.key === 'ArrowLeft' ? -by : 0;
  const dy = e.key === 'ArrowDown' ? by : e.key === 'ArrowUp' ? -by : 0;
  if (tab === 'path') {
    if (pathOf(useEditor.getState())?.locked) return;
    if (points.length > 0) editPath('movePoints', { indexes: points, x: dx, y: dy }, 'nudge');
    else editPath('movePath', { x: dx, y: dy }, 'nudge');
    return;
  }
  if (!doc || tab === 'export') return;
  if (!selected && dx !== 0) stepFrame(dx);
  if (!selected) return;
  for (const id of chosenWith(selected)) {
    if (isLocked(doc, id) || fieldOf(doc, id)?.area === 'frame') continue;
    const placed = placedOf(doc, id) !== undefined;
    if (!placed && !letteringOf(doc, id)) continue;
    const level = dx !== 0;
    const rides = placed && itemOf(doc, id)?.ride !== undefined;
    const ways = rides ? RIDE : placed ? PLACE : SEAT;
    const channel = ways[level ? 0 : 1];
    const to = core.value(id, channel, time) + (level ? dx : placed ? dy : -dy);
    setValue(id, channel, to, e.altKey, 'nudge');
  }
}
