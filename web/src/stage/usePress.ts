import * as core from '../core/core';
import type { Box, DrawnPath, SmoothPath } from '../core/document';
import { select, selectAlso, useEditor } from '../state/editor';
import { fieldOf, isLocked, itemOf, letteringOf, placedOf } from '../state/items';
import { openItemMenu } from '../state/itemMenu';
import { editPath } from '../state/paths';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { placeDrag, puckDrag, rideDrag, type Drag } from './itemDrags';
import { pointsWithin } from './PointHandles';
import { puckTold } from './PuckHint';
import { endSnap } from './snap';
import { writeInPlace } from './TextInPlace';
import { STILL, useMarquee } from './useMarquee';

interface Stage {
  /** Screen pixels of the frame, and of what the chosen item stands in. */
  unit: number;
  inner: number;
  toFrame: ToScene;
  /** The pixels round the chosen item: with the path that carries it, and without. */
  toScene: ToScene;
  toRound: ToScene;
  /** The path whose points are edited. */
  withPoints: DrawnPath | SmoothPath | undefined;
}

/**
 * What a press on the stage does where no handle is: it chooses what lies there and drags it, words
 * along their path; on nothing it draws a box that chooses what is in it, points where these are
 * edited.
 */
export function usePress({ unit, inner, toFrame, toScene, toRound, withPoints }: Stage) {
  const points = useMarquee(toScene, inner);
  const items = useMarquee(toFrame, unit);

  const press = (e: React.PointerEvent) => {
    const { drawing, pickStart, tab } = useEditor.getState();
    if (drawing || e.button !== 0) return;
    const [x, y] = toFrame(e);
    const choose = () => chooseAt(x, y, unit, e.shiftKey);
    if (pickStart) {
      const [px, py] = toScene(e);
      editPath('startAt', { x: px, y: py });
      useEditor.setState({ pickStart: false });
    } else if (tab === 'path' && withPoints && !withPoints.locked) {
      const before = e.shiftKey ? useEditor.getState().points : [];
      points.begin(e, { during: (b) => pointsWithin(withPoints, b, before), click: choose });
    } else {
      const id = itemUnder(x, y, unit);
      if (id !== null && isHeldAt(id, e.shiftKey)) pressItem(e, id, choose);
      else items.begin(e, { after: (b) => chooseWithin(b, e.shiftKey), click: choose });
    }
  };

  /** Chooses on the press, so that what is dragged is what lies there. */
  const pressItem = (e: React.PointerEvent, id: string, choose: () => void) => {
    const known = isChosen(id);
    if (!known) choose();
    const begun = { clientX: e.clientX, clientY: e.clientY };
    let go: Drag | null = null;
    let to: ToScene = toFrame;
    drag(
      e,
      (p) => to(p),
      (_x, _y, event) => {
        if (
          !go &&
          Math.hypot(event.clientX - begun.clientX, event.clientY - begun.clientY) <= STILL
        )
          return;
        if (!go && id === useEditor.getState().selected) {
          // The pixels round it are known once it is chosen and its handles are drawn.
          to = itemOf(useEditor.getState().doc, id)?.ride ? toRound : toScene;
          go = dragOf(id, to(begun), inner);
        }
        go?.(...to(event), event);
      },
      () => {
        endSnap();
        if (go && letteringOf(useEditor.getState().doc, id)) puckTold();
        if (!go && known) choose();
      },
    );
  };

  /** Words are written where they are. */
  const pressTwice = (e: React.MouseEvent) => {
    const { doc, drawing, tab } = useEditor.getState();
    const id = itemUnder(...toFrame(e), unit);
    if (drawing || tab === 'path' || !letteringOf(doc, id) || isLocked(doc, id!)) return;
    const { left, top } = e.currentTarget.getBoundingClientRect();
    // Below the words, so that they are seen while they are written.
    const [, , , bottom = 0] = core.frameBox(id!, useEditor.getState().time);
    const below = e.clientY - top + (bottom - toFrame(e)[1]) / unit;
    writeInPlace(id!, [e.clientX - left, below]);
  };

  const menu = (e: React.MouseEvent) => {
    if (!useEditor.getState().drawing) openItemMenu(e, itemUnder(...toFrame(e), unit));
  };

  return { press, pressTwice, menu, pointsBox: points.box, itemsBox: items.box };
}

const itemUnder = (x: number, y: number, unit: number): string | null =>
  core.itemAt(x, y, useEditor.getState().time, STILL * unit) || null;

function chooseAt(x: number, y: number, unit: number, more: boolean): void {
  const item = itemUnder(x, y, unit);
  const { tab, points } = useEditor.getState();
  if (tab === 'path' && points.length > 0) useEditor.setState({ points: [] });
  else if (more && item) selectAlso(item);
  else if (!more || item) select(item);
}

function chooseWithin(box: Box, more: boolean): void {
  const found = core.itemsWithin(box, useEditor.getState().time);
  if (!more) select(found[0] ?? null);
  const { selected, also } = useEditor.getState();
  found.filter((id) => id !== selected && !also.includes(id)).forEach(selectAlso);
}

function isChosen(id: string): boolean {
  const { selected, also } = useEditor.getState();
  return id === selected || also.includes(id);
}

/**
 * Whether a press takes hold of an item: of words at once, of others once they are chosen, since a
 * picture that fills the frame would take every press else.
 */
function isHeldAt(id: string, more: boolean): boolean {
  const { doc, tab } = useEditor.getState();
  if (more || isLocked(doc, id) || tab === 'path' || tab === 'export') return false;
  if (fieldOf(doc, id)?.area === 'frame') return false;
  return letteringOf(doc, id) !== undefined || isChosen(id);
}

/** How an item is dragged. */
function dragOf(id: string, from: [number, number], unit: number): Drag | null {
  const { doc } = useEditor.getState();
  if (itemOf(doc, id)?.ride) return rideDrag(id, from, unit);
  if (letteringOf(doc, id)) return puckDrag(id, from, unit);
  return placedOf(doc, id) ? placeDrag(id, from, unit) : null;
}
