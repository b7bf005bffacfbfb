import type { Guide, SceneDoc } from '../core/document';
import { deleteGuide, dragGuide, stepGuide, usedGuides } from '../state/guides';
import { useEditor } from '../state/editor';
import type { ToScene } from './coordinates';
import { drag } from './drag';

interface Props {
  doc: SceneDoc;
  /** What can be seen: its left, top, width and height, px of the frame. */
  seen: number[];
  unit: number;
  toFrame: ToScene;
}

/** Lines across the whole stage, to be dragged; drawn out of the stage they are gone. */
export function Guides({ doc, seen, unit, toFrame }: Props) {
  const on = useEditor((s) => s.overlays.guides && s.drawing === null);
  if (!on) return null;
  return (
    <g data-testid="guides">
      {usedGuides(doc).map((g) => (
        <GuideLine key={g.id} guide={g} seen={seen} unit={unit} toFrame={toFrame} />
      ))}
    </g>
  );
}

function GuideLine({ guide, seen, unit, toFrame }: { guide: Guide } & Omit<Props, 'doc'>) {
  const { id, upright, at } = guide;
  const [left = 0, top = 0, width = 0, height = 0] = seen;
  const line = upright ? `M${at} ${top}v${height}` : `M${left} ${at}h${width}`;
  const label = `${upright ? 'Upright' : 'Level'} guide at ${at} px`;
  const press = (e: React.KeyboardEvent) => {
    const way = upright
      ? { ArrowLeft: -1, ArrowRight: 1 }[e.key]
      : { ArrowUp: -1, ArrowDown: 1 }[e.key];
    if (way) stepGuide(guide, way * (e.shiftKey ? 10 : 1));
    else if (e.key === 'Delete' || e.key === 'Backspace') deleteGuide(id);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <g
      tabIndex={0}
      role="button"
      aria-label={label}
      className={upright ? 'cursor-ew-resize' : 'cursor-ns-resize'}
      onPointerDown={(e) => pullGuide(e, id, upright, toFrame)}
      onKeyDown={press}
      data-testid={`guide-${id}`}
    >
      <title>{`${label}: drag it off the stage, or press Delete, to remove it`}</title>
      <path d={line} stroke="transparent" strokeWidth={8 * unit} />
      <path d={line} className="stroke-ochre" strokeWidth={unit} />
    </g>
  );
}

/** Moves a guide on whole pixels, freely with Ctrl; what is let go off the stage is removed. */
export function pullGuide(
  e: React.PointerEvent,
  id: string,
  upright: boolean,
  toFrame: ToScene,
): void {
  const room = (e.target as Element).closest('[data-testid="stage-room"]')?.getBoundingClientRect();
  const edge = useEditor.getState().overlays.rulers ? RULER : 0;
  const isOff = ({ clientX: x, clientY: y }: { clientX: number; clientY: number }) =>
    room !== undefined &&
    (upright ? x < room.left + edge || x > room.right : y < room.top + edge || y > room.bottom);
  // A ruler that is only clicked leaves none behind.
  let off = isOff(e);
  drag(
    e,
    toFrame,
    (x, y, event) => {
      const at = upright ? x : y;
      off = isOff(event);
      dragGuide(id, event.ctrlKey ? at : Math.round(at));
    },
    () => off && deleteGuide(id),
  );
}

/** Their width, CSS px; a frame that fits has as much room round it. */
export const RULER = 18;
