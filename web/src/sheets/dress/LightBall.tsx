import type { PointerEvent } from 'react';
import * as core from '../../core/core';
import { useEditor } from '../../state/editor';
import { useRestingTime } from '../../state/restingTime';
import { setChosen } from '../../state/values';

const RADIUS = 40;

/** Degrees that an arrow key turns the light. */
const STEP = 5;

const DEGREES = 180 / Math.PI;

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, STEP],
  ArrowDown: [0, -STEP],
};

/** A ball as the light falls on it: where it is taken hold of, the light comes from. */
export function LightBall({ item }: { item: string }) {
  const time = useRestingTime();
  useEditor((s) => s.shown);
  const from = core.value(item, 'lightFrom', time);
  const height = core.value(item, 'lightHeight', time);
  const out = Math.cos(height / DEGREES) * RADIUS;
  const x = Math.sin(from / DEGREES) * out;
  const y = -Math.cos(from / DEGREES) * out;
  const put = (turn: number, up: number) => {
    setChosen(item, 'lightFrom', Math.round(turn), false, `${item}.light`);
    setChosen(
      item,
      'lightHeight',
      Math.round(Math.min(Math.max(up, -90), 90)),
      false,
      `${item}.light`,
    );
  };
  const drag = (e: PointerEvent<SVGSVGElement>) => {
    if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
    const box = e.currentTarget.getBoundingClientRect();
    const dx = e.clientX - (box.left + box.width / 2);
    const dy = e.clientY - (box.top + box.height / 2);
    const far = Math.min(Math.hypot(dx, dy) / RADIUS, 1);
    const turn = far < 0.02 ? from : Math.atan2(dx, -dy) * DEGREES;
    put(turn, Math.acos(far) * DEGREES);
  };
  return (
    <svg
      viewBox="-50 -46 100 92"
      width="100"
      height="92"
      className="mx-auto my-1 block cursor-grab touch-none rounded-lg"
      role="application"
      tabIndex={0}
      aria-label="Light: drag, or press arrow keys, to move where it comes from"
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        drag(e);
      }}
      onPointerMove={drag}
      onKeyDown={(e) => {
        const by = ARROWS[e.key];
        if (!by) return;
        e.preventDefault();
        put(from + by[0], height + by[1]);
      }}
    >
      <title>Drag the light round the ball</title>
      <defs>
        <radialGradient
          id="light-ball"
          gradientUnits="userSpaceOnUse"
          cx={x}
          cy={y}
          r={RADIUS * 1.5}
        >
          <stop offset="0" stopColor="var(--sheet)" />
          <stop offset="1" stopColor="var(--teal)" />
        </radialGradient>
      </defs>
      <circle
        r={RADIUS}
        fill={height >= 0 ? 'url(#light-ball)' : 'var(--teal)'}
        className="stroke-rule"
      />
      <circle
        cx={x}
        cy={y}
        r="6"
        className={height >= 0 ? 'fill-ochre stroke-ink' : 'fill-none stroke-ochre'}
        strokeWidth="1.5"
        strokeDasharray={height >= 0 ? undefined : '3 2'}
      />
    </svg>
  );
}
