import { useEffect, useMemo, useRef, useState } from 'react';
import * as core from '../core/core';
import type { Knot, Pair } from '../core/document';
import { useEditor, type Drawing } from '../state/editor';
import { bitmappedOf } from '../state/items';
import { drawnSoFar, finishDrawing } from '../state/paths';
import { useBitmaps } from './bitmaps';
import type { ToScene } from './coordinates';
import { drag } from './drag';
import { wireOf, type Wire } from './liveWire';
import { endSnap, snapped } from './snap';

interface Props {
  drawing: Drawing;
  unit: number;
  toScene: ToScene;
}

const knot = (x: number, y: number): Knot => ({ x, y, in: [0, 0], out: [0, 0], kind: 'corner' });

/** A place brought level, upright or to 45 degrees from another. */
function straight(fromX: number, fromY: number, x: number, y: number): Pair {
  const step = Math.PI / 4;
  const angle = Math.round(Math.atan2(y - fromY, x - fromX) / step) * step;
  const d = (x - fromX) * Math.cos(angle) + (y - fromY) * Math.sin(angle);
  return [fromX + d * Math.cos(angle), fromY + d * Math.sin(angle)];
}

/** Click for points, press and drag to bend, or draw by hand; Enter ends. */
export function DrawingLayer({ drawing, unit, toScene }: Props) {
  const doc = useEditor((s) => s.doc);
  const [pointer, setPointer] = useState<Pair | null>(null);
  const [free, setFree] = useState(false);
  const { knots, mode } = drawing;
  const first = knots[0];
  const last = knots.at(-1);
  const set = (next: Knot[]) => useEditor.setState({ drawing: { ...drawing, knots: next } });

  /** Where a press or a move means, by Shift or by what it catches on. */
  const place = (e: { clientX: number; clientY: number; shiftKey: boolean; ctrlKey: boolean }) => {
    const [x, y] = toScene(e);
    if (e.shiftKey && last) return straight(last.x, last.y, x, y);
    return doc && !e.ctrlKey ? snapped(doc, '', x, y, unit) : ([x, y] as Pair);
  };

  const add = (e: React.PointerEvent) => {
    const [rawX, rawY] = toScene(e);
    if (first && knots.length > 1 && Math.hypot(rawX - first.x, rawY - first.y) < 10 * unit) {
      e.stopPropagation();
      endSnap();
      finishDrawing(true);
      return;
    }
    const [x, y] = place(e);
    set([...knots, knot(x, y)]);
    drag(
      e,
      toScene,
      (hx, hy, event) => {
        if (mode === 'smooth' || drawing.auto || Math.hypot(hx - x, hy - y) < 4 * unit) return;
        const [ox, oy] = event.shiftKey ? straight(x, y, hx, hy) : [hx, hy];
        const bent: Knot = {
          ...knot(x, y),
          in: [x - ox, y - oy],
          out: [ox - x, oy - y],
          kind: 'smooth',
        };
        set([...knots, bent]);
      },
      endSnap,
    );
  };

  /** Every place the pointer tells, also those between two frames. */
  const stroke = (e: React.PointerEvent<SVGRectElement>) => {
    if (e.button !== 0) return;
    e.preventDefault();
    e.stopPropagation();
    const target = e.currentTarget;
    target.setPointerCapture(e.pointerId);
    const samples: Knot[] = [knot(...toScene(e))];
    const move = (m: PointerEvent) => {
      const all = m.getCoalescedEvents?.() ?? [];
      (all.length ? all : [m]).forEach((c) => samples.push(knot(...toScene(c))));
      set(samples.slice());
    };
    const up = () => {
      target.removeEventListener('pointermove', move);
      const [a, b] = [samples[0], samples.at(-1)];
      const closed =
        !!a && !!b && samples.length > 20 && Math.hypot(a.x - b.x, a.y - b.y) < 14 * unit;
      set(samples.slice(0, 10_000));
      finishDrawing(closed);
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', up, { once: true });
    target.addEventListener('pointercancel', up, { once: true });
  };

  useBitmaps((s) => s.arrived);
  const image = bitmappedOf(doc, drawing.cut ?? null)?.image;
  const wire = useRef<{ time: number; found: Wire } | null>(null);
  const cling = (from: Knot, to: Pair, free: boolean): Pair[] => {
    if (free || !drawing.cut || !image) return [to];
    const { time } = useEditor.getState();
    if (wire.current?.time !== time) {
      // The picture may stand elsewhere at another time.
      const found = wireOf(drawing.cut, image, time);
      wire.current = found && { time, found };
    }
    return wire.current?.found.line([from.x, from.y], to) ?? [to];
  };

  /** A click holds the line where it is; one at its beginning closes it. */
  const hold = (e: React.PointerEvent) => {
    if (e.button !== 0) return;
    e.preventDefault();
    e.stopPropagation();
    const to = toScene(e);
    const { stops = [] } = drawing;
    const closes =
      first && stops.length > 1 && Math.hypot(to[0] - first.x, to[1] - first.y) < 10 * unit;
    const end: Pair = closes ? [first.x, first.y] : to;
    const piece = last ? cling(last, end, e.ctrlKey) : [end];
    const all = [...knots, ...piece.map(([x, y]) => knot(x, y))].slice(0, 10_000);
    useEditor.setState({ drawing: { ...drawing, knots: all, stops: [...stops, knots.length] } });
    if (closes) finishDrawing(true);
  };

  const ahead = mode === 'edges' && pointer && last ? cling(last, pointer, free) : null;
  const d = useMemo(() => preview(drawing, pointer), [drawing, pointer]);
  useEffect(() => endSnap, []);
  const [w, h] = [doc?.width ?? 0, doc?.height ?? 0];
  return (
    <g>
      <rect
        x={-w}
        y={-h}
        width={w * 3}
        height={h * 3}
        fill="transparent"
        className="cursor-crosshair"
        onPointerDown={mode === 'freehand' ? stroke : mode === 'edges' ? hold : add}
        onPointerMove={(e) => {
          if (mode === 'freehand') return;
          setFree(e.ctrlKey);
          setPointer(mode === 'edges' ? toScene(e) : place(e));
        }}
        data-testid="drawing"
      />
      <path
        d={ahead ? `${d}${ahead.map(([x, y]) => `L${x} ${y}`).join('')}` : d}
        fill="none"
        className="pointer-events-none stroke-vermilion"
        strokeWidth={1.5 * unit}
      />
      {mode !== 'freehand' &&
        held(drawing).map((k, i) => (
          <circle
            key={i}
            cx={k.x}
            cy={k.y}
            r={4.5 * unit}
            className="pointer-events-none fill-sheet stroke-vermilion"
            strokeWidth={2 * unit}
          />
        ))}
    </g>
  );
}

/** The points that were clicked. */
function held({ mode, knots, stops = [] }: Drawing): Knot[] {
  if (mode !== 'edges') return knots;
  return [...stops.slice(1), knots.length].flatMap((n) => knots[n - 1] ?? []);
}

/** The line so far, on to the pointer. A stroke is shown as it is; it is fitted when it ends. */
function preview(drawing: Drawing, pointer: Pair | null): string {
  const { knots, mode } = drawing;
  if (mode === 'freehand' || mode === 'edges') {
    return knots.map((k, i) => `${i ? 'L' : 'M'}${k.x} ${k.y}`).join('');
  }
  const all = pointer ? [...knots, knot(...pointer)] : knots;
  const path = drawnSoFar({ ...drawing, knots: all }, false);
  return path ? core.sketch(path) : '';
}
