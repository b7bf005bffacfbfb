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
  return (
    <GradientEnds
      ends={core.gradientEnds(id, time)}
      straight={across !== 'run' && across !== 'path'}
      unit={unit}
      toRound={toRound}
      testId="gradient"
      onPut={(name, x, y, whole) => {
        const [across, down] = core.dragGradient(id, time, x, y);
        putEnd(id, name, [across!, down], whole);
      }}
    />
  );
}

/** Sets the values of an end, in percent to a tenth; along a path there is one. */
export function putEnd(
  item: string,
  name: string,
  [across, down]: [number, number | undefined],
  whole: boolean,
): void {
  const tenth = (v: number) => Math.round(v * 10) / 10;
  setValue(item, `${name}X`, tenth(across), whole, `gradient.${name}`);
  if (down !== undefined) setValue(item, `${name}Y`, tenth(down), whole, `gradient.${name}`);
}

interface EndsProps {
  /** x and y of either, in the pixels round the item; nothing where there are none. */
  ends: ArrayLike<number>;
  straight: boolean;
  unit: number;
  toRound: ToScene;
  testId: string;
  onPut: (name: 'from' | 'to', x: number, y: number, whole: boolean) => void;
}

/** Both ends of a gradient, to be dragged. */
export function GradientEnds({ ends, straight, unit, toRound, testId, onPut }: EndsProps) {
  if (ends.length === 0) return null;
  return (
    <g>
      {straight && (
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
            testId={`${testId}-${name}`}
            onDown={(e) => {
              const [px, py] = toRound(e);
              drag(e, toRound, (nx, ny, event) =>
                onPut(name, x + nx - px, y + ny - py, event.altKey),
              );
            }}
            onStep={(sx, sy) => onPut(name, x + sx, y + sy, false)}
          />
        );
      })}
    </g>
  );
}
