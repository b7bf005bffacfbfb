import * as core from '../core/core';
import { useEditor } from '../state/editor';
import { setValue } from '../state/values';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { Steppable } from './Steppable';

interface Props {
  id: string;
  unit: number;
  toFrame: ToScene;
}

/** Screen pixels. */
const RADIUS = 38;

/** Degrees for each screen pixel that the ball is dragged. */
const TURN = 0.6;

/** Degrees to which a turn by hand is rounded. */
const whole = (degrees: number) => Math.round(degrees * 10) / 10;

const degrees = (n: number) => `${Math.round(n)}°`.replace('-', '\u2212');

/**
 * A ball in the middle of an item's plane, with the plane as a disc through it: what turns the one
 * turns the other.
 */
export function BallHandle({ id, unit, toFrame }: Props) {
  const time = useEditor((s) => s.time);
  useEditor((s) => s.shown);
  const ball = core.planeBall(id, time);
  if (ball.length === 0) return null;
  const [x, y, nx, ny, nz] = ball as unknown as [number, number, number, number, number];
  const across = Math.hypot(nx, ny);
  const angle = across > 1e-6 ? (Math.atan2(ny, nx) * 180) / Math.PI + 90 : 0;
  const flat = Math.max(Math.abs(nz), 0.02) * RADIUS;
  const put = (tilt: number, swing: number, shift: boolean) => {
    setValue(id, 'tilt', whole(tilt), shift, 'ball');
    setValue(id, 'swing', whole(swing), shift, 'ball');
  };
  const now = (channel: string) => core.value(id, channel, useEditor.getState().time);
  const grab = (e: React.PointerEvent) => {
    const [px, py] = toFrame(e);
    const [tilt, swing] = [now('tilt'), now('swing')];
    drag(e, toFrame, (qx, qy, event) => {
      let [dx, dy] = [((qx - px) / unit) * TURN, ((qy - py) / unit) * TURN];
      if (event.shiftKey) [dx, dy] = Math.abs(dx) > Math.abs(dy) ? [dx, 0] : [0, dy];
      put(tilt - dy, swing + dx, event.altKey);
    });
  };
  return (
    <Steppable
      label="Ball: drag, or press arrow keys, to tilt and swing the plane"
      onStep={(dx, dy) => put(now('tilt') - dy, now('swing') + dx, false)}
      transform={`translate(${x} ${y}) scale(${unit})`}
      className="cursor-grab"
      onPointerDown={grab}
      onDoubleClick={(e) => {
        e.stopPropagation();
        put(0, 0, false);
      }}
      data-testid="ball"
    >
      <title>
        Ball: drag to tilt and swing; with Shift one of them; double-click for straight in front
      </title>
      <circle r={RADIUS} className="fill-sheet/45 stroke-teal" strokeWidth="1.5" />
      <g transform={`rotate(${angle})`}>
        <ellipse rx={RADIUS} ry={flat} className="fill-teal/20 stroke-teal" strokeWidth="1.5" />
        <path
          d={`M${-RADIUS} 0A${RADIUS} ${flat} 0 0 ${nz > 0 ? 0 : 1} ${RADIUS} 0`}
          fill="none"
          className="stroke-vermilion"
          strokeWidth="3"
        />
      </g>
      <path
        d={`M0 0L${nx * RADIUS} ${ny * RADIUS}`}
        className="stroke-vermilion"
        strokeWidth="2"
        strokeDasharray={nz > 0 ? undefined : '3 3'}
      />
      <circle
        cx={nx * RADIUS}
        cy={ny * RADIUS}
        r="4"
        className={nz > 0 ? 'fill-vermilion' : 'fill-sheet stroke-vermilion'}
        strokeWidth="1.5"
      />
      <text y={RADIUS + 15} textAnchor="middle" fontSize="11" className="halo fill-teal">
        {degrees(now('tilt'))} / {degrees(now('swing'))}
      </text>
    </Steppable>
  );
}
