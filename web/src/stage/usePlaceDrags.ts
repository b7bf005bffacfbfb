import { useMemo } from 'react';
import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { itemOf } from '../state/items';
import { setValue } from '../state/values';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { placeDrag, rideDrag } from './itemDrags';
import { endSnap } from './snap';

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

  const move = (e: React.PointerEvent) => {
    if (itemOf(useEditor.getState().doc, id)?.ride) {
      drag(e, toRound, rideDrag(id, toRound(e), unit));
    } else {
      drag(e, toScene, placeDrag(id, toScene(e), unit), endSnap);
    }
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
