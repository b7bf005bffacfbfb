import * as core from '../core/core';
import type { Effect, Item } from '../core/document';
import { applyEdit, useEditor } from '../state/editor';
import { useOpenEffect } from '../state/openEffect';
import { setValue } from '../state/values';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { GradientEnds, putEnd } from './GradientHandles';
import { Grippable } from './Grippable';

interface Props {
  item: Item;
  unit: number;
  toScene: ToScene;
}

type Grip = 'ground' | 'line' | 'throw';

/**
 * Of the effect that is open in the sheet: where its gradient goes, how far its shadow falls, or
 * the ground it is cast on.
 */
export function EffectHandles({ item, unit, toScene }: Props) {
  const open = useOpenEffect((s) => s.effect);
  const effect = item.effects?.find((e) => e.id === open && e.off !== true);
  if (effect?.kind === 'drop-shadow') {
    return <DropHandle item={item.id} effect={effect} unit={unit} toScene={toScene} />;
  }
  if (effect?.kind === 'outline') {
    return <LineHandles item={item.id} effect={effect} unit={unit} toScene={toScene} />;
  }
  if (effect?.kind === 'cast-shadow') {
    return <CastHandles item={item.id} effect={effect} unit={unit} toScene={toScene} />;
  }
  return null;
}

interface OfEffect extends Omit<Props, 'item'> {
  item: string;
  effect: Effect;
}

/** The ends of the gradient of an outline, where it has one. */
function LineHandles({ item, effect, unit, toScene }: OfEffect) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.shown);
  return (
    <GradientEnds
      ends={core.lineGradientEnds(item, effect.id, time)}
      straight
      unit={unit}
      toRound={toScene}
      testId="line-gradient"
      onPut={(name, x, y, whole) => {
        const [across, down] = core.shareOfFrame(x, y);
        putEnd(item, `effect-${effect.id}-${name}`, [across!, down], whole);
      }}
    />
  );
}

/** The lower right corner of the item's box, and the same of its shadow, which is dragged. */
function DropHandle({ item, effect, unit, toScene }: OfEffect) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.shown);
  const box = core.itemBox(item, time);
  if (box.length === 0) return null;
  const [x, y] = [box[2]!, box[3]!];
  const [dx, dy] = ['dx', 'dy'].map((n) => core.value(item, `effect-${effect.id}-${n}`, time));
  const put = (nx: number, ny: number, whole: boolean) => {
    setValue(item, `effect-${effect.id}-dx`, nx, whole, 'drop-shadow');
    setValue(item, `effect-${effect.id}-dy`, ny, whole, 'drop-shadow');
  };
  const [atX, atY] = [dx!, dy!];
  return (
    <g>
      <path
        d={`M${x} ${y}l${atX} ${atY}`}
        className="pointer-events-none stroke-vermilion"
        strokeWidth={1.5 * unit}
      />
      <circle cx={x} cy={y} r={2.5 * unit} className="pointer-events-none fill-vermilion" />
      <Grippable
        x={x + atX}
        y={y + atY}
        unit={unit}
        label="Shadow: drag, or press arrow keys, to let it fall elsewhere"
        testId="drop-shadow"
        onDown={(e) => {
          const [px, py] = toScene(e);
          drag(e, toScene, (nx, ny, event) => put(atX + nx - px, atY + ny - py, event.altKey));
        }}
        onStep={(sx, sy) => put(atX + sx, atY + sy, false)}
      />
    </g>
  );
}

/** The ground's line, what turns it, and where the far end lands. */
function CastHandles({ item, effect, unit, toScene }: OfEffect) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.shown);
  const width = useEditor((s) => s.doc?.width ?? 0);
  const marks = core.shadowMarks(item, effect.id, time);
  if (marks.length === 0) return null;
  const at = (i: number) => ({ x: marks[2 * i]!, y: marks[2 * i + 1]! });
  const [foot, line, top, land] = [at(0), at(1), at(2), at(3)];
  const [ux, uy] = [line.x - foot.x, line.y - foot.y];
  const long = (2 * width) / Math.hypot(ux, uy);
  const put = (grip: Grip, x: number, y: number) =>
    applyEdit(
      { op: 'castShadow', item, effect: effect.id, grip, x, y, time: useEditor.getState().time },
      `shadow.${grip}`,
    );
  const grips: { grip: Grip; place: { x: number; y: number }; label: string }[] = [
    { grip: 'ground', place: foot, label: 'Ground: drag it to where the item stands' },
    { grip: 'line', place: line, label: 'Ground: drag round to slope it' },
    { grip: 'throw', place: land, label: 'Shadow: drag to throw it farther or another way' },
  ];
  return (
    <g>
      <path
        d={`M${foot.x - ux * long} ${foot.y - uy * long}l${2 * ux * long} ${2 * uy * long}`}
        className="pointer-events-none stroke-teal"
        strokeWidth={1.5 * unit}
        strokeDasharray={`${7 * unit} ${4 * unit}`}
      />
      <path
        d={`M${top.x} ${top.y}L${foot.x} ${foot.y}L${land.x} ${land.y}`}
        fill="none"
        className="pointer-events-none stroke-vermilion"
        strokeWidth={1.5 * unit}
      />
      {grips.map(({ grip, place, label }) => (
        <Grippable
          key={grip}
          {...place}
          unit={unit}
          label={`${label}; arrow keys too`}
          testId={`shadow-${grip}`}
          onDown={(e) => {
            const [px, py] = toScene(e);
            drag(e, toScene, (x, y) => put(grip, place.x + x - px, place.y + y - py));
          }}
          onStep={(sx, sy) => put(grip, place.x + sx, place.y + sy)}
        />
      ))}
    </g>
  );
}
