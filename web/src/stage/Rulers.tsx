import { useRef } from 'react';
import { useEditor } from '../state/editor';
import { addGuide } from '../state/guides';
import { pullGuide, RULER } from './Guides';
import { stepOf, ticks } from './rulerTicks';
import { useView, type Standing } from './view';

/** Rulers in pixels of the frame at two edges of the stage; guides are dragged out of them. */
export function Rulers({ frame: { left, top, scale } }: { frame: Standing }) {
  const on = useEditor((s) => s.overlays.rulers && s.drawing === null);
  const room = useView((s) => s.room);
  const box = useRef<SVGSVGElement>(null);
  if (!on) return null;
  const [width, height] = room;
  const step = stepOf(scale);
  const toFrame = (e: { clientX: number; clientY: number }): [number, number] => {
    const r = box.current?.getBoundingClientRect();
    return r ? [(e.clientX - r.left - left) / scale, (e.clientY - r.top - top) / scale] : [0, 0];
  };
  const pull = (upright: boolean) => (e: React.PointerEvent) => {
    if (e.button !== 0) return;
    const [x, y] = toFrame(e);
    const id = addGuide(upright, Math.round(upright ? x : y));
    if (id) pullGuide(e, id, upright, toFrame);
  };
  const text = 'fill-soft text-[9px] select-none';
  return (
    <svg
      ref={box}
      className="pointer-events-none absolute inset-0 size-full touch-none"
      aria-hidden="true"
      data-testid="rulers"
    >
      <g className="pointer-events-auto cursor-ns-resize" onPointerDown={pull(false)}>
        <title>Drag down for a level guide</title>
        <rect width={width} height={RULER} className="fill-sheet" data-testid="ruler-across" />
        <path d={`M0 ${RULER - 0.5}H${width}`} className="stroke-rule" />
      </g>
      <g className="pointer-events-auto cursor-ew-resize" onPointerDown={pull(true)}>
        <title>Drag to the right for an upright guide</title>
        <rect width={RULER} height={height} className="fill-sheet" data-testid="ruler-down" />
        <path d={`M${RULER - 0.5} 0V${height}`} className="stroke-rule" />
      </g>
      {ticks(-left / scale, (width - left) / scale, step).map(({ at, long }) => {
        const x = left + at * scale;
        if (x < RULER) return null;
        return (
          <g key={at}>
            <path d={`M${x} ${long ? 4 : RULER - 5}V${RULER}`} className="stroke-soft/70" />
            {long && (
              <text x={x + 3} y={11} className={text}>
                {at}
              </text>
            )}
          </g>
        );
      })}
      {ticks(-top / scale, (height - top) / scale, step).map(({ at, long }) => {
        const y = top + at * scale;
        if (y < RULER) return null;
        return (
          <g key={at}>
            <path d={`M${long ? 4 : RULER - 5} ${y}H${RULER}`} className="stroke-soft/70" />
            {long && (
              <text transform={`translate(11 ${y - 3}) rotate(-90)`} className={text}>
                {at}
              </text>
            )}
          </g>
        );
      })}
      <rect width={RULER - 1} height={RULER - 1} className="fill-sheet" />
    </svg>
  );
}
