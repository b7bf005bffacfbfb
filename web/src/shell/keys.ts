import { pause, play } from '../stage/playback';
import { goToKeyframe, stepFrame } from '../stage/Transport';
import { applyEdit, pathOf, redo, TABS, takePointBack, undo, useEditor } from '../state/editor';
import { chosenWith, setValue } from '../state/values';
import { isLocked, letteringOf, placedOf } from '../state/items';
import { chartedOf } from '../state/channels';
import { removeItems } from '../state/making';
import { deletePoints, editPath, finishDrawing, giveUpDrawing } from '../state/paths';
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
  const done = useEditor.getState().drawing ? draw(e, help) : act(e, help, target);
  if (done) e.preventDefault();
}

/** While a line is being drawn the keys are about that line, and nothing else of the scene. */
function draw(e: KeyboardEvent, help: () => void): boolean {
  const tab = TABS[Number(e.key) - 1];
  if (e.key === 'Enter') finishDrawing(false);
  else if (e.key === 'Escape') giveUpDrawing();
  else if (e.key === 'Delete' || e.key === 'Backspace') takePointBack();
  else if (tab) useEditor.setState({ tab });
  else if (e.key === '?') help();
  else return false;
  return true;
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
  else if (selected) removeItems(chosenWith(selected));
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
  if (!doc || !selected || tab === 'export') return;
  for (const id of chosenWith(selected)) {
    if (isLocked(doc, id)) continue;
    const placed = placedOf(doc, id) !== undefined;
    if (!placed && !letteringOf(doc, id)) continue;
    const level = dx !== 0;
    const channel = placed ? (level ? 'x' : 'y') : level ? 'pathOffset' : 'baselineShift';
    const to = core.value(id, channel, time) + (level ? dx : placed ? dy : -dy);
    setValue(id, channel, to, e.altKey, 'nudge');
  }
}
