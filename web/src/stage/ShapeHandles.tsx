import * as core from '../core/core';
import { isShape, type GuidePath } from '../core/document';
import { useEditor } from '../state/editor';
import { openPathMenu } from '../state/pathActions';
import { editPath } from '../state/paths';
import { drag } from './drag';
import { Handle } from './Handle';
import { snapped, endSnap } from './snap';
import type { ToScene } from './coordinates';

interface Props {
  path: GuidePath;
  unit: number;
  toScene: ToScene;
}

/** Moves the whole path by the drag; it catches with the middle of its box. */
export function dragWholePath(path: GuidePath, unit: number, toScene: ToScene) {
  return (e: React.PointerEvent) => {
    const [startX, startY] = toScene(e);
    const [l = 0, t = 0, r = 0, b = 0] = core.bounds(path.id, useEditor.getState().time);
    const [cx, cy] = [(l + r) / 2 - startX, (t + b) / 2 - startY];
    let [lastX, lastY] = [startX + cx, startY + cy];
    drag(
      e,
      toScene,
      (x, y, event) => {
        const doc = useEditor.getState().doc;
        const free = event.ctrlKey || !doc;
        const [nx, ny] = free ? [x + cx, y + cy] : snapped(doc, path.id, x + cx, y + cy, unit);
        editPath('movePath', { x: nx - lastX, y: ny - lastY }, 'move-path');
        [lastX, lastY] = [nx, ny];
      },
      endSnap,
    );
  };
}

/** The line itself, to be taken hold of. */
export function PathGrip(
  props: Props & { line: string; onDouble?: (e: React.MouseEvent) => void },
) {
  const { path, unit, toScene, line, onDouble } = props;
  return (
    <path
      d={line}
      fill="none"
      stroke="transparent"
      strokeWidth={14 * unit}
      className="cursor-move"
      onPointerDown={dragWholePath(path, unit, toScene)}
      onDoubleClick={onDouble}
      onContextMenu={(e) => openPathMenu(e, path.id)}
      data-testid="path-line"
    >
      <title>Drag to move the path{onDouble ? ', double-click to add a point' : ''}</title>
    </path>
  );
}

/** A box to scale, turn and move the whole path by. */
export function BoxHandles({ path, unit, toScene }: Props) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.opened);
  const [l = 0, t = 0, r = 0, b = 0] = core.bounds(path.id, time);
  const [cx, cy] = [(l + r) / 2, (t + b) / 2];
  const pad = 16 * unit;
  // On a straight path it would stand in the way of the line itself.
  const flat = Math.min(r - l, b - t) < 30 * unit;
  const straight = flat || (path.kind === 'drawn' && path.points.length <= 2);

  const scale = (right: boolean, bottom: boolean) => (e: React.PointerEvent) => {
    const [px, py] = toScene(e);
    const [ox, oy] = [px - (right ? r : l), py - (bottom ? b : t)];
    drag(e, toScene, (x, y, event) => {
      const [nl = 0, nt = 0, nr = 0, nb = 0] = core.bounds(path.id, time);
      const [ax, ay] = [right ? nl : nr, bottom ? nt : nb];
      const [w, h] = [(right ? nr : nl) - ax, (bottom ? nb : nt) - ay];
      const fx = Math.abs(w) > 1 ? (x - ox - ax) / w : 1;
      const fy = Math.abs(h) > 1 ? (y - oy - ay) / h : 1;
      // The further one leads; a path is not turned inside out by its box.
      const k = Math.max(Math.abs(w) > Math.abs(h) ? fx : fy, 0.02);
      const [sx, sy] = event.shiftKey ? [Math.max(fx, 0.02), Math.max(fy, 0.02)] : [k, k];
      editPath('scale', { x: ax, y: ay, sx, sy }, 'scale-path');
    });
  };
  const turn = (e: React.PointerEvent) => {
    let done = 0;
    const start = Math.atan2(toScene(e)[1] - cy, toScene(e)[0] - cx);
    drag(e, toScene, (x, y, event) => {
      let angle = ((Math.atan2(y - cy, x - cx) - start) * 180) / Math.PI;
      if (event.shiftKey) angle = Math.round(angle / 15) * 15;
      editPath('rotate', { x: cx, y: cy, angle: angle - done }, 'turn-path');
      done = angle;
    });
  };
  return (
    <g>
      <rect
        x={l - pad}
        y={t - pad}
        width={r - l + 2 * pad}
        height={b - t + 2 * pad}
        fill="none"
        className="pointer-events-none stroke-vermilion opacity-50"
        strokeWidth={unit}
        strokeDasharray={`${3 * unit} ${4 * unit}`}
      />
      {[
        [false, false],
        [true, false],
        [true, true],
        [false, true],
      ].map(([right = false, bottom = false]) => (
        <Handle
          key={`${right}${bottom}`}
          x={right ? r + pad : l - pad}
          y={bottom ? b + pad : t - pad}
          unit={unit}
          square
          small
          title="Drag to scale; Shift for width and height apart"
          cursor={right === bottom ? 'cursor-nwse-resize' : 'cursor-nesw-resize'}
          onDown={scale(right, bottom)}
          testId={`box-${right ? 'right' : 'left'}-${bottom ? 'bottom' : 'top'}`}
        />
      ))}
      <path
        d={`M${cx} ${t - pad}v${-18 * unit}`}
        className="pointer-events-none stroke-vermilion opacity-50"
        strokeWidth={unit}
      />
      <Handle
        x={cx}
        y={t - pad - 18 * unit}
        unit={unit}
        small
        title="Drag to turn; Shift in steps of 15°"
        onDown={turn}
        testId="box-turn"
      />
      {!straight && (
        <Handle
          x={cx}
          y={cy}
          unit={unit}
          title="Drag to move the path"
          onDown={dragWholePath(path, unit, toScene)}
          testId="path-centre"
        />
      )}
    </g>
  );
}

/** The radius of round shapes, the ends of open ones. */
export function ShapeHandles({ path, unit, toScene }: Props) {
  const time = useEditor((s) => s.time);
  const closed = useEditor((s) => s.summary?.paths[path.id]?.closed);
  useEditor((s) => s.opened);
  if (!isShape(path)) return null;
  const kind = core.shapeKinds().find((k) => k.kind === path.kind);
  const round = kind?.numbers.some((n) => n.field === 'radius') && path.kind !== 'spiral';
  const at = core.tenths(path.id, time);
  const [cx, cy] = [core.value(path.id, 'x', time), core.value(path.id, 'y', time)];
  const rx = round ? cx + core.value(path.id, 'radius', time) : 0;
  return (
    <g>
      {round && (
        <Handle
          x={rx}
          y={cy}
          unit={unit}
          title="Radius: drag in or out"
          onDown={(e) => drag(e, toScene, (x, y) => editPath('radius', { x, y }, 'radius'))}
          testId="shape-radius"
        />
      )}
      {!closed &&
        [false, true].map((last) => (
          <Handle
            key={String(last)}
            x={at[last ? 30 : 0] ?? 0}
            y={at[last ? 31 : 1] ?? 0}
            unit={unit}
            title="End: drag it, the other end stays"
            onDown={(e) =>
              drag(
                e,
                toScene,
                (x, y, event) => {
                  const doc = useEditor.getState().doc;
                  const [nx, ny] =
                    event.ctrlKey || !doc ? [x, y] : snapped(doc, path.id, x, y, unit);
                  editPath('dragEnd', { last, x: nx, y: ny }, 'end');
                },
                endSnap,
              )
            }
            testId={last ? 'shape-last' : 'shape-first'}
          />
        ))}
    </g>
  );
}
