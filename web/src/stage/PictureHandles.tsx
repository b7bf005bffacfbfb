import * as core from '../core/core';
import type { Channel } from '../core/document';
import { applyEdit, select, selectAlso, useEditor } from '../state/editor';
import { setValue } from '../state/values';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { Handle } from './Handle';
import { usePlaceDrags } from './usePlaceDrags';

interface Props {
  id: string;
  unit: number;
  toScene: ToScene;
  /** The pixels round the item, without the path that carries it. */
  toRound: ToScene;
}

const EDGES = ['top', 'right', 'bottom', 'left'] as const;

const CROP = { top: 'cropTop', right: 'cropRight', bottom: 'cropBottom', left: 'cropLeft' };

/** Inward from each edge, in their order. */
const INWARD = ['ArrowDown', 'ArrowLeft', 'ArrowUp', 'ArrowRight'];

/** Screen pixels that a press may move and still be a click. */
const STILL = 3;

/** Round a picture: its body to move it by, corners to scale it, edges to crop it. */
export function PictureHandles({ id, unit, toScene, toRound }: Props) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.shown);
  const { move, scale } = usePlaceDrags(id, unit, toScene, toRound);
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
            role="slider"
            tabIndex={0}
            aria-label={core.labelOf(CROP[edge])}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round(core.value(id, CROP[edge], time))}
            onKeyDown={cropByKeys(id, CROP[edge], i)}
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

/** Crops by one percent, with Shift by ten: inward by the key that points there. */
function cropByKeys(id: string, channel: Channel, edge: number) {
  return (e: React.KeyboardEvent) => {
    const way = INWARD.indexOf(e.key);
    if (way < 0) return;
    e.stopPropagation();
    e.preventDefault();
    if (way % 2 !== edge % 2) return;
    const by = (way === edge ? 1 : -1) * (e.shiftKey ? 10 : 1);
    const to = core.value(id, channel, useEditor.getState().time) + by;
    setValue(id, channel, to, e.altKey, `keys.${channel}`);
  };
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
