import * as core from '../core/core';
import type { Footage, FootagePin } from '../core/document';
import { useEditor } from '../state/editor';
import { followAgain, frameAt, frameSeen, setMark, stopFollowing, usePins } from '../state/pins';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { Grippable } from './Grippable';

interface Props {
  footage: Footage;
  unit: number;
  toFrame: ToScene;
}

/** How long keys rest before it is followed again, ms. */
const REST = 700;

let resting = 0;

/** The marks of what is followed in footage, in the frame that is seen. */
export function PinMarks({ footage, unit, toFrame }: Props) {
  const open = usePins((s) => s.open);
  const pin = footage.pins?.find((p) => p.id === open);
  return pin ? <Marks footage={footage} pin={pin} unit={unit} toFrame={toFrame} /> : null;
}

function Marks({ footage, pin, unit, toFrame }: Props & { pin: FootagePin }) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.shown);
  const at = core.pinPoints(pin.id, time);
  const seen = frameSeen(footage);
  if (seen === null) return null;
  const known = Math.abs(frameAt(pin, seen).time - seen) < 1e-4;
  const put = (mark: number, x: number, y: number) => {
    const [u, v] = core.footagePixel(footage.id, useEditor.getState().time, x, y);
    const { doc } = useEditor.getState();
    const f = doc?.items.find((i) => i.id === footage.id) as Footage | undefined;
    const now = f?.pins?.find((p) => p.id === pin.id);
    if (f && now) setMark(f, now, mark, [u!, v!]);
  };
  return (
    <g data-testid="pin-marks">
      {pin.by !== 'spot' && <Between points={at} unit={unit} />}
      {pin.area && <Between points={core.pinArea(pin.id, time)} unit={unit} />}
      {Array.from({ length: at.length / 2 }, (_, i) => {
        const [x, y] = [at[2 * i]!, at[2 * i + 1]!];
        return (
          <g key={i} opacity={known ? 1 : 0.5}>
            <Petals x={x} y={y} unit={unit} />
            <Grippable
              x={x}
              y={y}
              unit={unit}
              label={`Mark ${i + 1} of ${pin.name}: drag it onto what moves, or press arrow keys`}
              testId={`pin-mark-${i}`}
              onDown={(e) => {
                stopFollowing();
                drag(
                  e,
                  toFrame,
                  (px, py) => put(i, px, py),
                  () => followAgain(footage.id, pin.id),
                );
              }}
              onStep={(dx, dy) => {
                stopFollowing();
                put(i, x + dx, y + dy);
                window.clearTimeout(resting);
                resting = window.setTimeout(() => followAgain(footage.id, pin.id), REST);
              }}
            />
          </g>
        );
      })}
    </g>
  );
}

/** The line between two marks, or round more. */
function Between({ points, unit }: { points: Float64Array; unit: number }) {
  return (
    <polygon
      points={points.join(' ')}
      className="pointer-events-none fill-none stroke-vermilion"
      strokeWidth={unit}
      strokeDasharray={`${3 * unit} ${3 * unit}`}
    />
  );
}

/** Four strokes round a mark, so that what it lies on is seen between them. */
function Petals({ x, y, unit }: { x: number; y: number; unit: number }) {
  return (
    <g
      transform={`translate(${x} ${y}) scale(${unit})`}
      className="pointer-events-none"
      fill="none"
      strokeLinecap="round"
    >
      {['stroke-sheet', 'stroke-vermilion'].map((colour, i) => (
        <path
          key={colour}
          className={colour}
          strokeWidth={i === 0 ? 4 : 2}
          d="M14-8A16 16 0 0 1 14 8M8 14A16 16 0 0 1-8 14M-14 8A16 16 0 0 1-14-8M-8-14A16 16 0 0 1 8-14"
        />
      ))}
    </g>
  );
}
