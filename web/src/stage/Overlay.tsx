import { useMemo, useRef, useState } from 'react';
import * as core from '../core/core';
import { isShape } from '../core/document';
import { letteringOf, pathOf, select, useEditor } from '../state/editor';
import { editPath } from '../state/paths';
import { sceneCoordinates } from './coordinates';
import { DrawingLayer } from './DrawingLayer';
import { PathLines, useLine } from './PathLines';
import { PointHandles, useMarquee } from './PointHandles';
import { SeatHandles } from './SeatHandles';
import { BoxHandles, PathGrip, ShapeHandles } from './ShapeHandles';
import { SnapLines } from './SnapLines';
import { TemplateLayer } from './TemplateLayer';

/** Everything that lies over the picture and is never in the output. {@code unit}: a screen pixel. */
export function Overlay({ unit }: { unit: number }) {
  const svg = useRef<SVGSVGElement>(null);
  const [points, setPoints] = useState<SVGSVGElement | null>(null);
  const toScene = useMemo(() => sceneCoordinates(svg), []);
  const doc = useEditor((s) => s.doc);
  const paths = useEditor((s) => s.summary?.paths);
  const selected = useEditor((s) => s.selected);
  const tab = useEditor((s) => s.tab);
  const overlays = useEditor((s) => s.overlays);
  const drawing = useEditor((s) => s.drawing);
  const pickStart = useEditor((s) => s.pickStart);
  const chosenPath = useEditor(pathOf);
  const lettering = letteringOf(doc, selected);
  const own = doc?.paths.find((p) => p.id === lettering?.path);
  const path = tab === 'path' ? chosenPath : own;
  const line = useLine(path);
  const withPoints = path?.kind === 'drawn' || path?.kind === 'smooth' ? path : undefined;
  const marquee = useMarquee(withPoints, toScene);
  if (!doc || !paths) return null;

  const choose = (x: number, y: number) => {
    const item = core.itemAt(x, y, useEditor.getState().time, 3 * unit) || null;
    if (tab === 'path' && useEditor.getState().points.length > 0) {
      useEditor.setState({ points: [] });
    } else {
      select(item);
    }
  };
  const press = (e: React.PointerEvent) => {
    if (drawing || e.button !== 0) return;
    const [x, y] = toScene(e);
    if (pickStart) {
      editPath('startAt', { x, y });
      useEditor.setState({ pickStart: false });
    } else if (tab === 'path' && withPoints && !withPoints.locked) {
      marquee.begin(e, () => choose(x, y));
    } else {
      choose(x, y);
    }
  };

  const known = path && paths[path.id];
  const free = known && !path.locked && !path.hidden && !drawing && !pickStart;
  const seats = lettering && !lettering.locked && !drawing;
  const viewBox = `0 0 ${doc.width} ${doc.height}`;
  return (
    <>
      <svg
        ref={svg}
        viewBox={viewBox}
        className="absolute inset-0 size-full touch-none overflow-visible"
        onPointerDown={press}
        data-testid="overlay"
      >
        <TemplateLayer />
        {tab === 'path' && !drawing && (
          // Points outside the frame can be boxed too.
          <rect
            x={-doc.width}
            y={-doc.height}
            width={3 * doc.width}
            height={3 * doc.height}
            fill="transparent"
            className={pickStart ? 'cursor-crosshair' : ''}
          />
        )}
        <Guides doc={doc} thirds={overlays.thirds} safe={overlays.safe} unit={unit} />
        <PathLines path={path} unit={unit} toScene={toScene} />
        {free && tab === 'path' && !withPoints && (
          <>
            <PathGrip path={path} unit={unit} toScene={toScene} line={line} />
            <BoxHandles path={path} unit={unit} toScene={toScene} />
            {isShape(path) && <ShapeHandles path={path} unit={unit} toScene={toScene} />}
          </>
        )}
        {free && tab === 'path' && withPoints && (
          <PointHandles
            path={withPoints}
            layer={points}
            line={line}
            unit={unit}
            toScene={toScene}
          />
        )}
        {seats && (tab === 'words' || tab === 'seat' || tab === 'move') && (
          <SeatHandles id={lettering.id} stops={tab !== 'words'} unit={unit} toScene={toScene} />
        )}
        {marquee.box && (
          <rect
            x={marquee.box[0]}
            y={marquee.box[1]}
            width={marquee.box[2] - marquee.box[0]}
            height={marquee.box[3] - marquee.box[1]}
            className="pointer-events-none fill-teal/10 stroke-teal"
            strokeWidth={unit}
          />
        )}
        {drawing && <DrawingLayer drawing={drawing} unit={unit} toScene={toScene} />}
        <SnapLines width={doc.width} height={doc.height} unit={unit} />
      </svg>
      <svg
        ref={setPoints}
        viewBox={viewBox}
        className="pointer-events-none absolute inset-0 size-full touch-none overflow-visible will-change-transform"
      />
    </>
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
