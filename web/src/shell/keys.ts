import { pause, play } from '../stage/playback';
import { goToKeyframe, stepFrame } from '../stage/Transport';
import { applyEdit, pathOf, redo, TABS, undo, useEditor } from '../state/editor';
import { setValue } from '../state/values';
import { isLocked, letteringOf, placedOf } from '../state/items';
import { chartedOf } from '../state/channels';
import { removeItem } from '../state/making';
import { deletePoints, editPath, finishDrawing } from '../state/paths';
import * as core from '../core/core';

/** Keys that work wherever nothing is being typed. */
export function onKey(e: KeyboardEvent, help: () => void): void {
  const target = e.target as HTMLElement;
  const typing =
    target.matches('input:not([type=range]):not([type=checkbox]), textarea, select') ||
    target.isContentEditable;
  if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z' && !typing) {
    e.preventDefault();
    if (e.shiftKey) redo();
    else undo();
    return;
  }
  if (typing || e.ctrlKey || e.metaKey || document.querySelector('[role=dialog]')) return;
  if (useEditor.getState().drawing && (e.key === 'Enter' || e.key === 'Escape')) {
    e.preventDefault();
    finishDrawing(false);
    return;
  }
  const done = act(e, help, target);
  if (done) e.preventDefault();
}

function act(e: KeyboardEvent, help: () => void, target: HTMLElement): boolean {
  const { playing, full } = useEditor.getState();
  const tab = TABS[Number(e.key) - 1];
  if (tab) useEditor.setState({ tab });
  else if (e.key === 'p' || e.key === 'P') (playing ? pause : play)();
  else if (e.key === ',') stepFrame(-1);
  else if (e.key === '.') stepFrame(1);
  else if (e.key === 'k' || e.key === 'K') goToKeyframe(-1);
  else if (e.key === 'l' || e.key === 'L') goToKeyframe(1);
  else if (e.key === 'f' || e.key === 'F') useEditor.setState({ full: !full });
  else if (e.key === 'Escape') escape();
  else if (e.key === '?') help();
  else if (e.key === 'Delete' || e.key === 'Backspace') remove();
  else if (e.key.startsWith('Arrow') && !usesArrows(target)) nudge(e);
  else return false;
  return true;
}

/** Fields, menus and lists have a use of their own for them; the buttons round the stage have not. */
function usesArrows(target: HTMLElement): boolean {
  return target.matches('input, button, [role=menuitem]') && !target.matches('main button');
}

function remove(): void {
  const { keyframe, keys, points, selected, tab } = useEditor.getState();
  const chosen = keys.length > 0 ? keys : keyframe !== null ? [keyframe] : [];
  if (chosen.length > 0 && selected) {
    applyEdit({
      op: 'removeKeys',
      item: selected,
      channel: chartedOf(useEditor.getState()),
      indexes: chosen,
    });
    useEditor.setState({ keyframe: null, keys: [] });
  } else if (points.length > 0 && tab === 'path') deletePoints();
  else if (selected) removeItem(selected);
}

function escape(): void {
  useEditor.setState({ full: false, keyframe: null, keys: [], points: [], pickStart: false });
}

/** The chosen points or the path, else what is placed, else the lettering: along and across. */
function nudge(e: KeyboardEvent): void {
  const { doc, selected, points, tab, time } = useEditor.getState();
  const by = e.shiftKey ? 10 : 1;
  const dx = e.key === 'ArrowRight' ? by : e.key === 'ArrowLeft' ? -by : 0;
  const dy = e.key === 'ArrowDown' ? by : e.key === 'ArrowUp' ? -by : 0;
  if (tab === 'path') {
    if (pathOf(useEditor.getState())?.locked) return;
    if (points.length > 0) editPath('movePoints', { indexes: points, x: dx, y: dy }, 'nudge');
    else editPath('move', { x: dx, y: dy }, 'nudge');
    return;
  }
  if (!doc || !selected || isLocked(doc, selected) || tab === 'export') return;
  if (placedOf(doc, selected)) {
    const along = dx !== 0 ? 'x' : 'y';
    const to = core.value(selected, along, time) + (dx || dy);
    setValue(selected, along, to, e.altKey, 'nudge');
    return;
  }
  const lettering = letteringOf(doc, selected);
  if (!lettering) return;
  const channel = dx !== 0 ? 'pathOffset' : 'baselineShift';
  const value = core.value(lettering.id, channel, time) + (dx !== 0 ? dx : -dy);
  setValue(lettering.id, channel, value, e.altKey, 'nudge');
}
