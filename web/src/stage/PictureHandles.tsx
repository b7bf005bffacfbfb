import * as core from '../core/core';
import { applyEdit, select, selectAlso, useEditor } from '../state/editor';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { Handle } from './Handle';
import { usePlaceDrags } from './usePlaceDrags';

interface Props {
  id: string;
  unit: number;
  toScene: ToScene;
}

const EDGES = ['top', 'right', 'bottom', 'left'] as const;

/** Screen pixels that a press may move and still be a click. */
const STILL = 3;

/** Round a picture: its body to move it by, corners to scale it, edges to crop it. */
export function PictureHandles({ id, unit, toScene }: Props) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.shown);
  const { move, scale } = usePlaceDrags(id, unit, toScene);
  const c = core.corners(id, time);
  if (c.length === 0) return null;
  const corner = (i: number) => ({ x: c[2 * (i % 4)]!, y: c[2 * (i % 4) + 1]! });
  const crop = (edge: (typeof EDGES)[number]) => (e: React.PointerEvent) =>
    drag(e, toScene, (x, y) =>
      applyEdit(
        { op: 'crop', item: id, edge, x, y, time: useEditor.getState().time },
        `crop.${edge}`,
      ),
    );
  const outline = `M${[0, 1, 2, 3].map((i) => `${corner(i).x} ${corner(i).y}`).join('L')}Z`;
  return (
    <g>
      <path
        d={outline}
        fill="transparent"
        className="cursor-move stroke-vermilion"
        strokeOpacity={0.5}
        strokeWidth={unit}
        strokeDasharray={`${3 * unit} ${4 * unit}`}
        onPointerDown={(e) => {
          chooseOnClick(e);
          move(e);
        }}
        data-testid="picture-body"
      />
      {EDGES.map((edge, i) => {
        const [a, b] = [corner(i), corner(i + 1)];
        const angle = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
        return (
          <g
            key={edge}
            transform={`translate(${(a.x + b.x) / 2} ${(a.y + b.y) / 2}) rotate(${angle}) scale(${unit})`}
            className="cursor-grab"
            onPointerDown={crop(edge)}
            data-testid={`crop-${edge}`}
          >
            <title>Drag inward to crop, outward to show more</title>
            <rect x="-14" y="-9" width="28" height="18" fill="transparent" />
            <rect
              x="-9"
              y="-2.5"
              width="18"
              height="5"
              rx="2.5"
              className="fill-sheet stroke-vermilion"
              strokeWidth="1.5"
            />
          </g>
        );
      })}
      {[0, 1, 2, 3].map((i) => (
        <Handle
          key={i}
          {...corner(i)}
          unit={unit}
          square
          small
          title="Drag outward for larger, inward for smaller"
          onDown={scale}
          testId={`picture-corner-${i}`}
        />
      ))}
    </g>
  );
}

/** A press that does not move chooses what lies there, above the picture, as anywhere else. */
function chooseOnClick(e: React.PointerEvent): void {
  const svg = (e.currentTarget as SVGElement).ownerSVGElement;
  const matrix = svg?.getScreenCTM();
  if (!matrix || e.button !== 0) return;
  const [x, y, shift] = [e.clientX, e.clientY, e.shiftKey];
  const up = (u: PointerEvent) => {
    if (Math.hypot(u.clientX - x, u.clientY - y) > STILL) return;
    const p = new DOMPoint(x, y).matrixTransform(matrix.inverse());
    const item = core.itemAt(p.x, p.y, useEditor.getState().time, 3 / matrix.a) || null;
    if (shift && item) selectAlso(item);
    else select(item);
  };
  window.addEventListener('pointerup', up, { once: true });
}
