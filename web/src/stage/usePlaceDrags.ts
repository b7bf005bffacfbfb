import { useMemo } from 'react';
import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { itemOf } from '../state/items';
import { setValue } from '../state/values';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { endSnap, snapped } from './snap';
import { useRideDrag } from './useRideDrag';

/**
 * Where an item stands, and the drags that move, turn and scale it about its centre; one that rides
 * is moved along its path.
 */
export function usePlaceDrags(id: string, unit: number, toScene: ToScene, toRound: ToScene) {
  const time = useEditor((s) => s.time);
  const shown = useEditor((s) => s.shown);
  const [x = 0, y = 0, turn = 0] = useMemo(
    () => (shown > 0 ? ['x', 'y', 'rotation'].map((c) => core.value(id, c, time)) : []),
    [id, time, shown],
  );

  const rides = useEditor((s) => itemOf(s.doc, id)?.ride !== undefined);
  const ride = useRideDrag(id, unit, toRound);
  const move = (e: React.PointerEvent) => {
    if (rides) {
      ride(e);
      return;
    }
    const [px, py] = toScene(e);
    drag(
      e,
      toScene,
      (nx, ny, event) => {
        const { doc } = useEditor.getState();
        const [ax, ay] = [nx + x - px, ny + y - py];
        const [tx, ty] = event.ctrlKey || !doc ? [ax, ay] : snapped(doc, '', ax, ay, unit);
        setValue(id, 'x', tx, event.altKey, 'place');
        setValue(id, 'y', ty, event.altKey, 'place');
      },
      endSnap,
    );
  };
  const rotate = (e: React.PointerEvent) => {
    const angle = (at: [number, number]) => (Math.atan2(at[1] - y, at[0] - x) * 180) / Math.PI;
    let last = angle(toScene(e));
    let to = turn;
    drag(e, toScene, (nx, ny, event) => {
      const now = angle([nx, ny]);
      // The short way round each time: whole turns can be dragged.
      to += ((((now - last + 180) % 360) + 360) % 360) - 180;
      last = now;
      const whole = event.shiftKey ? Math.round(to / 15) * 15 : to;
      setValue(id, 'rotation', whole, event.altKey, 'turn-place');
    });
  };
  const scale = (e: React.PointerEvent) => {
    const [px, py] = toScene(e);
    const from = Math.hypot(px - x, py - y);
    const begin = core.value(id, 'scale', time);
    drag(e, toScene, (nx, ny, event) => {
      const to = (begin * Math.hypot(nx - x, ny - y)) / Math.max(from, 1e-9);
      setValue(id, 'scale', to, event.altKey, 'scale-place');
    });
  };
  return { x, y, turn, move, rotate, scale };
}
