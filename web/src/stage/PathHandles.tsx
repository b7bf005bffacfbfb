import * as core from '../core/core';
import type { CirclePath, DrawnPath, Knot } from '../core/document';
import { applyEdit, useEditor } from '../state/editor';
import { drag } from './drag';
import { dragWholePath, type ToScene } from './Overlay';

interface CircleProps {
  path: CirclePath;
  unit: number;
  toScene: ToScene;
}

/** Centre, radius and start of a circle. */
export function CircleHandles({ path, unit, toScene }: CircleProps) {
  const marks = core.marks(path.id, 2);
  // The first of two marks stands a quarter of the way round.
  const [rx, ry] = [marks[0] ?? path.centre[0], marks[1] ?? path.centre[1]];
  const start = core.marks(path.id, 1);
  const [sx, sy] = [2 * path.centre[0] - (start[0] ?? 0), 2 * path.centre[1] - (start[1] ?? 0)];
  const pull = (op: string) => (e: React.PointerEvent) =>
    drag(e, toScene, (x, y) => applyEdit({ op, path: path.id, x, y }, op));
  return (
    <g>
      <line
        x1={path.centre[0]}
        y1={path.centre[1]}
        x2={rx}
        y2={ry}
        className="stroke-vermilion"
        strokeWidth={unit}
        strokeDasharray={`${3 * unit} ${3 * unit}`}
      />
      <Handle
        x={path.centre[0]}
        y={path.centre[1]}
        unit={unit}
        title="Centre: drag to move the circle"
        onDown={dragWholePath(path.id, toScene)}
        testId="circle-centre"
      />
      <Handle
        x={rx}
        y={ry}
        unit={unit}
        title="Radius: drag in or out"
        onDown={pull('radius')}
        testId="circle-radius"
      />
      <g
        transform={`translate(${sx} ${sy}) scale(${unit})`}
        className="cursor-grab"
        onPointerDown={pull('start')}
        data-testid="circle-start"
      >
        <title>Start: drag round the circle</title>
        <circle r="12" fill="transparent" />
        <path
          d="M0 0V-18L11-14L0-10"
          className="fill-vermilion stroke-vermilion"
          strokeWidth="1.6"
          strokeLinejoin="round"
        />
      </g>
    </g>
  );
}

interface HandleProps {
  x: number;
  y: number;
  unit: number;
  title: string;
  onDown: (e: React.PointerEvent) => void;
  square?: boolean;
  chosen?: boolean;
  small?: boolean;
  testId?: string;
}

/** Round for smooth, square for corner. */
function Handle({ x, y, unit, title, onDown, square, chosen, small, testId }: HandleProps) {
  const r = small ? 3.5 : 5;
  const style = chosen ? 'fill-vermilion stroke-vermilion' : 'fill-sheet stroke-vermilion';
  return (
    <g
      transform={`translate(${x} ${y}) scale(${unit})`}
      className="cursor-grab"
      onPointerDown={onDown}
      data-testid={testId}
    >
      <title>{title}</title>
      <circle r="11" fill="transparent" />
      {square ? (
        <rect
          x={-r + 0.5}
          y={-r + 0.5}
          width={2 * r - 1}
          height={2 * r - 1}
          className={style}
          strokeWidth="2"
        />
      ) : (
        <circle r={r} className={style} strokeWidth="2" />
      )}
    </g>
  );
}

interface PointProps {
  path: DrawnPath;
  line: string;
  unit: number;
  toScene: ToScene;
}

/** The points of a drawn curve; the chosen one shows its handles. */
export function PointHandles({ path, line, unit, toScene }: PointProps) {
  const point = useEditor((s) => s.point);
  const chosen = point === null ? undefined : path.points[point];
  const choose = (index: number) => useEditor.setState({ point: index });

  const movePoint = (index: number, k: Knot) => (e: React.PointerEvent) => {
    choose(index);
    const [px, py] = toScene(e);
    const [dx, dy] = [k.x - px, k.y - py];
    drag(e, toScene, (x, y) =>
      applyEdit({ op: 'movePoint', path: path.id, index, x: x + dx, y: y + dy }, 'move-point'),
    );
  };
  const moveHandle = (op: 'moveIn' | 'moveOut', index: number) => (e: React.PointerEvent) =>
    drag(e, toScene, (x, y) => applyEdit({ op, path: path.id, index, x, y }, op));
  const insert = (e: React.MouseEvent) => {
    const [x, y] = toScene(e);
    applyEdit({ op: 'insert', path: path.id, x, y });
  };

  return (
    <g>
      <path
        d={line}
        fill="none"
        stroke="transparent"
        strokeWidth={14 * unit}
        className="cursor-move"
        onPointerDown={dragWholePath(path.id, toScene)}
        onDoubleClick={insert}
        data-testid="path-line"
      >
        <title>Drag to move the path, double-click to add a point</title>
      </path>
      {chosen && point !== null && (
        <g>
          {(['in', 'out'] as const).map((side) => {
            const [hx, hy] = [chosen.x + chosen[side][0], chosen.y + chosen[side][1]];
            if (chosen[side][0] === 0 && chosen[side][1] === 0) return null;
            return (
              <g key={side}>
                <line
                  x1={chosen.x}
                  y1={chosen.y}
                  x2={hx}
                  y2={hy}
                  className="stroke-vermilion"
                  strokeWidth={unit}
                />
                <Handle
                  x={hx}
                  y={hy}
                  unit={unit}
                  small
                  title="Handle: drag to bend"
                  onDown={moveHandle(side === 'in' ? 'moveIn' : 'moveOut', point)}
                  testId={`handle-${side}`}
                />
              </g>
            );
          })}
        </g>
      )}
      {path.points.map((k, i) => (
        <Handle
          key={i}
          x={k.x}
          y={k.y}
          unit={unit}
          square={!k.smooth}
          chosen={i === point}
          title={`Point ${i + 1}: drag to move, Delete removes the chosen one`}
          onDown={movePoint(i, k)}
          testId={`point-${i}`}
        />
      ))}
    </g>
  );
}
