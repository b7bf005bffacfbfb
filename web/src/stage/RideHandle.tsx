import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { setValue } from '../state/values';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { Grippable } from './Grippable';
import { rideDrag } from './itemDrags';

interface Props {
  id: string;
  unit: number;
  toRound: ToScene;
}

/** Where an item that has no centre to drag is on the path that carries it. */
export function RideHandle({ id, unit, toRound }: Props) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.shown);
  const mark = core.rideMark(id, time);
  if (mark.length === 0) return null;
  const step = (along: number, off: number) => {
    if (along !== 0) {
      setValue(id, 'rideOffset', core.value(id, 'rideOffset', time) + along, false, 'ride-step');
    }
    if (off !== 0) {
      setValue(id, 'rideShift', core.value(id, 'rideShift', time) + off, false, 'ride-step');
    }
  };
  return (
    <Grippable
      x={mark[0]!}
      y={mark[1]!}
      unit={unit}
      label="Ride: drag along the path, or press arrow keys; across it takes it off the path"
      testId="ride"
      onDown={(e) => drag(e, toRound, rideDrag(id, toRound(e), unit))}
      onStep={step}
    />
  );
}
