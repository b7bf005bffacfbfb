import { pause, play } from '../stage/playback';
import { goToKeyframe, stepFrame } from '../stage/Transport';
import { applyEdit, letteringOf, redo, setValue, TABS, undo, useEditor } from '../state/editor';
import { finishDrawing, removeItem } from '../state/making';
import { deletePoint } from '../sheets/PathSheet';
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
  else if (e.key === 'Escape') useEditor.setState({ full: false, keyframe: null, point: null });
  else if (e.key === '?') help();
  else if (e.key === 'Delete' || e.key === 'Backspace') remove();
  else if (e.key.startsWith('Arrow') && !target.matches('input, button, [role=menuitem]')) nudge(e);
  else return false;
  return true;
}

function remove(): void {
  const { keyframe, point, selected, charted, tab } = useEditor.getState();
  if (keyframe !== null && selected) {
    applyEdit({ op: 'remove', item: selected, channel: charted, index: keyframe });
    useEditor.setState({ keyframe: null });
  } else if (point !== null && tab === 'path') deletePoint();
  else if (selected) removeItem(selected);
}

/** The chosen point of a path, else the lettering: along the path and away from it. */
function nudge(e: KeyboardEvent): void {
  const { doc, selected, point, tab, time } = useEditor.getState();
  const by = e.shiftKey ? 10 : 1;
  const dx = e.key === 'ArrowRight' ? by : e.key === 'ArrowLeft' ? -by : 0;
  const dy = e.key === 'ArrowDown' ? by : e.key === 'ArrowUp' ? -by : 0;
  const lettering = letteringOf(doc, selected);
  if (!doc || !lettering || lettering.locked) return;
  const path = doc.paths.find((p) => p.id === lettering.path);
  if (tab === 'path' && path) {
    const knot = path.kind === 'drawn' && point !== null ? path.points[point] : undefined;
    if (knot)
      applyEdit(
        { op: 'movePoint', path: path.id, index: point, x: knot.x + dx, y: knot.y + dy },
        'nudge',
      );
    else applyEdit({ op: 'move', path: path.id, x: dx, y: dy }, 'nudge');
    return;
  }
  if (tab === 'export') return;
  const channel = dx !== 0 ? 'pathOffset' : 'baselineShift';
  const value = core.value(lettering.id, channel, time) + (dx !== 0 ? dx : -dy);
  setValue(lettering.id, channel, value, e.altKey, 'nudge');
}
