import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { letteringOf } from '../state/items';
import { changeLettering, setValue } from '../state/values';
import { snapped } from './snap';

/** What a drag does from then on: to a point, in the pixels round the item. */
export type Drag = (x: number, y: number, event: PointerEvent) => void;

/** Screen pixels across the path from which on a drag takes the words off it. */
const ACROSS = 28;

const sideOf = (id: string) => letteringOf(useEditor.getState().doc, id)?.seat.side;

/** Words along their path, and across it once that is clearly meant or Ctrl is held. */
export function puckDrag(id: string, from: [number, number], unit: number): Drag {
  const { time } = useEditor.getState();
  const spots = core.handles(id, time);
  // The press is rarely on the very middle of the puck.
  const [dx, dy] = [(spots[0] ?? 0) - from[0], (spots[1] ?? 0) - from[1]];
  let across = false;
  return (x, y, event) => {
    const v = core.dragPuck(id, time, x + dx, y + dy, true);
    const now = core.value(id, 'baselineShift', time);
    across ||=
      event.ctrlKey || Math.abs(v.baselineShift - now) > ACROSS * unit || v.side !== sideOf(id);
    if (!across) {
      const along = core.dragPuck(id, time, x + dx, y + dy, false);
      setValue(id, 'pathOffset', along.pathOffset, event.altKey, 'puck');
      return;
    }
    if (v.side !== sideOf(id)) {
      const seat = letteringOf(useEditor.getState().doc, id)?.seat;
      if (seat) changeLettering(id, { seat: { ...seat, side: v.side } }, 'puck');
    }
    setValue(id, 'pathOffset', v.pathOffset, event.altKey, 'puck');
    setValue(id, 'baselineShift', v.baselineShift, event.altKey, 'puck');
  };
}

/** Moves what is placed; it catches on lines of the frame, unless Ctrl is held. */
export function placeDrag(id: string, from: [number, number], unit: number): Drag {
  const { time } = useEditor.getState();
  const [x0, y0] = [core.value(id, 'x', time), core.value(id, 'y', time)];
  return (x, y, event) => {
    const { doc } = useEditor.getState();
    const [ax, ay] = [x0 + x - from[0], y0 + y - from[1]];
    const [tx, ty] = event.ctrlKey || !doc ? [ax, ay] : snapped(doc, '', ax, ay, unit);
    setValue(id, 'x', tx, event.altKey, 'place');
    setValue(id, 'y', ty, event.altKey, 'place');
  };
}

/** Along the path that carries it only, until it clearly goes across or Ctrl is held. */
export function rideDrag(id: string, from: [number, number], unit: number): Drag {
  const { time } = useEditor.getState();
  const mark = core.rideMark(id, time);
  const [dx, dy] = [mark[0]! - from[0], mark[1]! - from[1]];
  const begin = core.value(id, 'rideShift', time);
  let across = false;
  return (x, y, event) => {
    const [along, off] = core.dragRide(id, time, x + dx, y + dy);
    across ||= event.ctrlKey || Math.abs(off! - begin) > ACROSS * unit;
    setValue(id, 'rideOffset', along!, event.altKey, 'ride');
    if (across) setValue(id, 'rideShift', off!, event.altKey, 'ride');
  };
}
