import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { letteringOf } from '../state/items';
import { setValue } from '../state/values';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { Grippable } from './Grippable';

interface Props {
  id: string;
  unit: number;
  toRound: ToScene;
}

const ENDS = [
  { name: 'from', label: 'Where the gradient begins', at: 0 },
  { name: 'to', label: 'Where the gradient ends', at: 2 },
] as const;

/** The ends of the gradient that an item is filled with; the line between, where it is straight. */
export function GradientHandles({ id, unit, toRound }: Props) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.shown);
  const across = useEditor((s) => letteringOf(s.doc, id)?.across);
  const ends = core.gradientEnds(id, time);
  if (ends.length === 0) return null;
  const put = (name: string, x: number, y: number, whole: boolean) => {
    const [across, down] = core.dragGradient(id, time, x, y);
    const tenth = (v: number) => Math.round(v * 10) / 10;
    setValue(id, `${name}X`, tenth(across!), whole, `gradient.${name}`);
    if (down !== undefined) setValue(id, `${name}Y`, tenth(down), whole, `gradient.${name}`);
  };
  return (
    <g>
      {across !== 'run' && across !== 'path' && (
        <path
          d={`M${ends[0]} ${ends[1]}L${ends[2]} ${ends[3]}`}
          className="pointer-events-none stroke-vermilion"
          strokeWidth={1.5 * unit}
          strokeDasharray={`${6 * unit} ${4 * unit}`}
        />
      )}
      {ENDS.map(({ name, label, at }) => {
        const [x, y] = [ends[at]!, ends[at + 1]!];
        return (
          <Grippable
            key={name}
            x={x}
            y={y}
            unit={unit}
            label={`${label}: drag it, or press arrow keys`}
            testId={`gradient-${name}`}
            onDown={(e) => {
              const [px, py] = toRound(e);
              drag(e, toRound, (nx, ny, event) =>
                put(name, x + nx - px, y + ny - py, event.altKey),
              );
            }}
            onStep={(sx, sy) => put(name, x + sx, y + sy, false)}
          />
        );
      })}
    </g>
  );
}
