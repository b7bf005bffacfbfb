import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { setValue } from '../state/values';
import type { ToScene } from './coordinates';
import { drag } from './drag';

/** Screen pixels across the path from which on a drag takes an item off it. */
const ACROSS = 28;

/**
 * The drag of an item along the path that carries it: along it only, until it clearly goes across
 * or Ctrl is held.
 *
 * @param toRound the pixels round the item
 */
export function useRideDrag(id: string, unit: number, toRound: ToScene) {
  return (e: React.PointerEvent) => {
    const { time } = useEditor.getState();
    const [startX, startY] = toRound(e);
    const mark = core.rideMark(id, time);
    const [dx, dy] = [mark[0]! - startX, mark[1]! - startY];
    const begin = core.value(id, 'rideShift', time);
    let across = false;
    drag(e, toRound, (x, y, event) => {
      const [along, off] = core.dragRide(id, time, x + dx, y + dy);
      across ||= event.ctrlKey || Math.abs(off! - begin) > ACROSS * unit;
      setValue(id, 'rideOffset', along!, event.altKey, 'ride');
      if (across) setValue(id, 'rideShift', off!, event.altKey, 'ride');
    });
  };
}
