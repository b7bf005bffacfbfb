import { useMemo } from 'react';
import { createPortal } from 'react-dom';
import * as core from '../core/core';
import type { Box, DrawnPath, Knot, SmoothPath } from '../core/document';
import { useEditor } from '../state/editor';
import { openPointMenu } from '../state/pathActions';
import { editPath, pointsOf, previewPath } from '../state/paths';
import { drag } from './drag';
import { Handle } from './Handle';
import { BoxHandles, PathGrip } from './ShapeHandles';
import { endSnap, snapped } from './snap';
import type { ToScene } from './coordinates';

interface Props {
  path: DrawnPath | SmoothPath;
  /** Where the points that are not chosen go: a layer that is not painted again with the others. */
  layer: SVGGElement | null;
  line: string;
  unit: number;
  toScene: ToScene;
}

const setPoints = (points: number[]) => useEditor.setState({ points });

/** The points of a path; chosen ones show their handles. A box drawn on the stage chooses some. */
export function PointHandles({ path, layer, line, unit, toScene }: Props) {
  const chosen = useEditor((s) => s.points);
  const time = useEditor((s) => s.time);
  const opened = useEditor((s) => s.opened);
  const previewed = useEditor((s) => (s.previewing ? s.shown : 0));
  const points = useMemo(() => (opened > 0 ? pointsOf(path, time) : []), [path, time, opened]);
  const held = useMemo(
    () => (previewed > 0 ? previewedKnots(path.id, time, points, chosen) : points),
    [path.id, time, points, chosen, previewed],
  );
  const insert = (e: React.MouseEvent) => {
    const [x, y] = toScene(e);
    editPath('insert', { x, y });
  };

  /** One listener for all points: hundreds of them are no burden. */
  const press = (e: React.PointerEvent) => {
    const index = pointAt(e);
    const k = points[index];
    if (!k) return;
    const now = pick(index, chosen, e.shiftKey);
    setPoints(now);
    const [px, py] = toScene(e);
    let [fromX, fromY] = [k.x, k.y];
    let [lastX, lastY] = [k.x, k.y];
    let { doc: known } = useEditor.getState();
    const [ox, oy] = [k.x - px, k.y - py];
    drag(
      e,
      toScene,
      (x, y, event) => {
        const doc = useEditor.getState().doc;
        // What was made while the pointer rested is not to be done again.
        if (doc !== known) [known, fromX, fromY] = [doc, lastX, lastY];
        const [nx, ny] =
          event.ctrlKey || !doc ? [x + ox, y + oy] : snapped(doc, path.id, x + ox, y + oy, unit);
        if (now.length === 1) previewPath('movePoint', { index, x: nx, y: ny }, 'move-point');
        else
          previewPath('movePoints', { indexes: now, x: nx - fromX, y: ny - fromY }, 'move-point');
        [lastX, lastY] = [nx, ny];
      },
      endSnap,
    );
  };

  // Hundreds of points are left alone while a few are dragged.
  const still = useMemo(() => {
    const Mark = points.length > MANY ? PlainMark : PointMark;
    return points.map(
      (k, i) => !chosen.includes(i) && <Mark key={i} index={i} knot={k} unit={unit} />,
    );
  }, [points, chosen, unit]);

  return (
    <g>
      <PathGrip path={path} unit={unit} toScene={toScene} line={line} onDouble={insert} />
      {chosen.length === 0 && <BoxHandles path={path} unit={unit} toScene={toScene} />}
      {path.kind === 'drawn' &&
        chosen
          .slice(0, 40)
          .map(
            (i) =>
              held[i] && <Bends key={i} index={i} knot={held[i]} unit={unit} toScene={toScene} />,
          )}
      <g
        onPointerDown={press}
        onContextMenu={(e) => {
          const index = pointAt(e);
          if (points[index]) openPointMenu(e, index);
        }}
      >
        {layer && createPortal(<g className="pointer-events-auto">{still}</g>, layer)}
        {chosen.map(
          (i) => held[i] && <PointMark key={i} index={i} knot={held[i]} unit={unit} chosen />,
        )}
      </g>
    </g>
  );
}

/** The index of the point that an event is about; NaN where it is about none. */
const pointAt = (e: React.SyntheticEvent) =>
  Number((e.target as Element).closest('[data-point]')?.getAttribute('data-point') ?? NaN);

function pick(index: number, chosen: number[], more: boolean): number[] {
  if (more) {
    const without = chosen.filter((i) => i !== index);
    return without.length < chosen.length ? without : [...chosen, index];
  }
  return chosen.includes(index) ? chosen : [index];
}

/** The chosen points where an edit under way has brought them; the others as they were. */
function previewedKnots(path: string, time: number, points: Knot[], chosen: number[]): Knot[] {
  const n = core.points(path, time);
  const out = [...points];
  for (const i of chosen) {
    const [x, y, ix, iy, ox, oy] = n.subarray(6 * i, 6 * i + 6);
    const k = points[i];
    if (k && oy !== undefined) out[i] = { ...k, x: x!, y: y!, in: [ix!, iy!], out: [ox!, oy] };
  }
  return out;
}

interface MarkProps {
  index: number;
  knot: Knot;
  unit: number;
  chosen?: boolean;
}

/** More points than this are drawn plainly, and can only be caught where they are seen. */
const MANY = 100;

function PointMark({ index, knot, unit, chosen }: MarkProps) {
  return (
    <g data-point={index}>
      <Handle
        x={knot.x}
        y={knot.y}
        unit={unit}
        square={knot.kind === 'corner'}
        chosen={chosen}
        title={`Point ${index + 1}: drag to move, Delete removes the chosen ones`}
        testId={`point-${index}`}
      />
    </g>
  );
}

function PlainMark({ index, knot, unit }: MarkProps) {
  return (
    <circle
      cx={knot.x}
      cy={knot.y}
      r={5 * unit}
      strokeWidth={2 * unit}
      className="cursor-grab fill-sheet stroke-vermilion"
      data-point={index}
      data-testid={`point-${index}`}
    />
  );
}

interface BendProps {
  index: number;
  knot: Knot;
  unit: number;
  toScene: ToScene;
}

/** The two handles of a point; Alt breaks them apart. */
function Bends({ index, knot, unit, toScene }: BendProps) {
  const pull = (op: 'moveIn' | 'moveOut') => (e: React.PointerEvent) =>
    drag(e, toScene, (x, y, event) =>
      previewPath(op, { index, x, y, ...(event.altKey ? { broken: true } : {}) }, op),
    );
  return (
    <g>
      {(['in', 'out'] as const).map((side) => {
        const [dx, dy] = knot[side];
        if (dx === 0 && dy === 0) return null;
        return (
          <g key={side}>
            <path
              d={`M${knot.x} ${knot.y}l${dx} ${dy}`}
              className="stroke-vermilion"
              strokeWidth={unit}
            />
            <Handle
              x={knot.x + dx}
              y={knot.y + dy}
              unit={unit}
              small
              title="Handle: drag to bend; Alt moves it alone"
              onDown={pull(side === 'in' ? 'moveIn' : 'moveOut')}
              testId={`handle-${side}`}
            />
          </g>
        );
      })}
    </g>
  );
}

/** Chooses the points in a box, and those that were chosen before. */
export function pointsWithin(
  path: DrawnPath | SmoothPath,
  [left, top, right, bottom]: Box,
  before: number[],
): void {
  const inside = pointsOf(path, useEditor.getState().time).flatMap((k, i) =>
    k.x >= left && k.x <= right && k.y >= top && k.y <= bottom ? [i] : [],
  );
  setPoints([...new Set([...before, ...inside])]);
}
