import { useMemo, useRef, type RefObject } from 'react';
import * as core from '../core/core';
import type { CirclePath, DrawnPath } from '../core/document';
import {
  applyEdit,
  changeLettering,
  letteringOf,
  select,
  setValue,
  useEditor,
} from '../state/editor';
import { drag } from './drag';
import { DrawingLayer } from './DrawingLayer';
import { CircleHandles, PointHandles } from './PathHandles';

export type ToScene = (e: { clientX: number; clientY: number }) => [number, number];

export function sceneCoordinates(svg: RefObject<SVGSVGElement | null>): ToScene {
  return (e) => {
    const m = svg.current?.getScreenCTM()?.inverse();
    if (!m) return [0, 0];
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m);
    return [p.x, p.y];
  };
}

/** Everything that lies over the picture and is never in the output. {@code unit}: a screen pixel. */
export function Overlay({ unit }: { unit: number }) {
  const svg = useRef<SVGSVGElement>(null);
  const toScene = useMemo(() => sceneCoordinates(svg), []);
  const doc = useEditor((s) => s.doc);
  const summary = useEditor((s) => s.summary);
  const opened = useEditor((s) => s.opened);
  const selected = useEditor((s) => s.selected);
  const tab = useEditor((s) => s.tab);
  const overlays = useEditor((s) => s.overlays);
  const drawing = useEditor((s) => s.drawing);
  const lettering = letteringOf(doc, selected);
  const path = doc?.paths.find((p) => p.id === lettering?.path);
  const line = path && summary?.paths[path.id];
  const chevrons = useMemo(() => {
    if (!path || !line || opened < 1) return [];
    const count = Math.max(3, Math.min(24, Math.round(line.length / (95 * unit))));
    const flat = core.marks(path.id, count);
    return Array.from({ length: count }, (_, i) => [
      flat[i * 3]!,
      flat[i * 3 + 1]!,
      flat[i * 3 + 2]!,
    ]);
  }, [path, line, opened, unit]);
  if (!doc || !summary) return null;

  const choose = (e: React.PointerEvent) => {
    if (drawing) return;
    const [x, y] = toScene(e);
    select(core.itemAt(x, y, useEditor.getState().time, 3 * unit) || null);
  };

  const free = path && lettering && !lettering.locked;
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${doc.width} ${doc.height}`}
      className="absolute inset-0 size-full touch-none overflow-visible"
      onPointerDown={choose}
      data-testid="overlay"
    >
      <Guides doc={doc} thirds={overlays.thirds} safe={overlays.safe} unit={unit} />
      {line && overlays.path && (
        <path
          d={line.d}
          fill="none"
          className="pointer-events-none stroke-vermilion"
          strokeWidth={1.5 * unit}
        />
      )}
      {overlays.direction &&
        overlays.path &&
        chevrons.map(([x, y, angle], i) => (
          <path
            key={i}
            className="pointer-events-none stroke-vermilion"
            fill="none"
            strokeWidth={1.5}
            d="M-3.500-4L2.500 0L-3.500 4"
            transform={`translate(${x} ${y}) rotate(${angle}) scale(${unit})`}
          />
        ))}
      {free && !drawing && tab === 'path' && path.kind === 'circle' && (
        <CircleHandles path={path as CirclePath} unit={unit} toScene={toScene} />
      )}
      {free && !drawing && tab === 'path' && path.kind === 'drawn' && (
        <PointHandles path={path as DrawnPath} line={line?.d ?? ''} unit={unit} toScene={toScene} />
      )}
      {free && lettering && !drawing && (tab === 'words' || tab === 'seat' || tab === 'move') && (
        <SeatHandles id={lettering.id} stops={tab !== 'words'} unit={unit} toScene={toScene} />
      )}
      {drawing && <DrawingLayer unit={unit} toScene={toScene} />}
    </svg>
  );
}

interface GuideProps {
  doc: { width: number; height: number };
  thirds: boolean;
  safe: boolean;
  unit: number;
}

function Guides({ doc, thirds, safe, unit }: GuideProps) {
  const { width: w, height: h } = doc;
  const lines = [w / 3, (2 * w) / 3].map((x) => `M${x} 0V${h}`);
  lines.push(...[h / 3, (2 * h) / 3].map((y) => `M0 ${y}H${w}`));
  return (
    <g className="pointer-events-none stroke-ink" fill="none" strokeWidth={unit} opacity={0.35}>
      {thirds && <path d={lines.join('')} />}
      {safe && <rect x={w * 0.05} y={h * 0.05} width={w * 0.9} height={h * 0.9} />}
    </g>
  );
}

interface SeatProps {
  id: string;
  stops: boolean;
  unit: number;
  toScene: ToScene;
}

/** The puck and the two margin stops. */
function SeatHandles({ id, stops, unit, toScene }: SeatProps) {
  const time = useEditor((s) => s.time);
  const opened = useEditor((s) => s.opened);
  const spots = useMemo(() => (opened > 0 ? core.handles(id, time) : []), [id, time, opened]);
  if (spots.length < 9) return null;

  const puck = (e: React.PointerEvent) => {
    const [startX, startY] = toScene(e);
    const { time: t } = useEditor.getState();
    // The press is rarely on the very middle of the puck.
    const [dx, dy] = [spots[0]! - startX, spots[1]! - startY];
    let across = false;
    drag(e, toScene, (x, y, event) => {
      const v = core.dragPuck(id, t, x + dx, y + dy, true);
      const now = core.value(id, 'baselineShift', t);
      across ||=
        event.ctrlKey || Math.abs(v.baselineShift - now) > 28 * unit || v.side !== sideOf(id);
      if (!across) {
        const along = core.dragPuck(id, t, x + dx, y + dy, false);
        setValue(id, 'pathOffset', along.pathOffset, event.altKey, 'puck');
        return;
      }
      if (v.side !== sideOf(id)) {
        const seat = letteringOf(useEditor.getState().doc, id)?.seat;
        if (seat) changeLettering(id, { seat: { ...seat, side: v.side } }, 'puck');
      }
      setValue(id, 'pathOffset', v.pathOffset, event.altKey, 'puck');
      setValue(id, 'baselineShift', v.baselineShift, event.altKey, 'puck');
    });
  };

  const stop = (start: boolean) => (e: React.PointerEvent) =>
    drag(e, toScene, (x, y, event) => {
      const channel = start ? 'startMargin' : 'endMargin';
      setValue(id, channel, core.dragStop(id, start, x, y), event.altKey, channel);
    });

  return (
    <g>
      {stops &&
        [true, false].map((start) => {
          const i = start ? 3 : 6;
          return (
            <g
              key={String(start)}
              transform={`translate(${spots[i]} ${spots[i + 1]}) rotate(${spots[i + 2]}) scale(${unit})`}
              className="cursor-ew-resize"
              onPointerDown={stop(start)}
              data-testid={start ? 'start-stop' : 'end-stop'}
            >
              <title>
                {start ? 'Start margin: drag along the path' : 'End margin: drag along the path'}
              </title>
              <rect x="-9" y="-15" width="18" height="30" fill="transparent" />
              <path
                d={start ? 'M0-12V12M0-12H5M0 12H5' : 'M0-12V12M0-12H-5M0 12H-5'}
                className="stroke-vermilion"
                fill="none"
                strokeWidth="2.5"
              />
            </g>
          );
        })}
      <g
        transform={`translate(${spots[0]} ${spots[1]}) scale(${unit})`}
        className="cursor-grab"
        onPointerDown={puck}
        data-testid="puck"
      >
        <title>
          Puck: drag along the path for the path offset, across it for the baseline shift
        </title>
        <circle r="13" fill="transparent" />
        <circle r="6.5" className="fill-sheet stroke-teal" strokeWidth="3" />
      </g>
    </g>
  );
}

function sideOf(id: string) {
  return letteringOf(useEditor.getState().doc, id)?.seat.side;
}

/** Moves the whole path of a lettering by the drag. */
export function dragWholePath(path: string, toScene: ToScene) {
  return (e: React.PointerEvent) => {
    let [lastX, lastY] = toScene(e);
    drag(e, toScene, (x, y) => {
      applyEdit({ op: 'move', path, x: x - lastX, y: y - lastY }, 'move-path');
      [lastX, lastY] = [x, y];
    });
  };
}
