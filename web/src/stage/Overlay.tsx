import { useEffect, useMemo, useRef, useState } from 'react';
import * as core from '../core/core';
import { isShape, type Box } from '../core/document';
import { pathOf, useEditor } from '../state/editor';
import {
  bitmappedOf,
  cutOf,
  fieldOf,
  footageOf,
  isLocked,
  itemOf,
  letteringOf,
  placedOf,
} from '../state/items';
import { usePins } from '../state/pins';
import { BallHandle } from './BallHandle';
import { sceneCoordinates, type ToScene } from './coordinates';
import { DrawingLayer } from './DrawingLayer';
import { OtherPaths, PathLines, useLine } from './PathLines';
import { OtherTimes } from './OtherTimes';
import { EffectHandles } from './EffectHandles';
import { GradientHandles } from './GradientHandles';
import { Guides } from './Guides';
import { PinMarks } from './PinMarks';
import { backThrough, putThrough } from './perspective';
import { PictureHandles } from './PictureHandles';
import { PlaceHandles } from './PlaceHandles';
import { PlanePath } from './PlanePath';
import { PointHandles } from './PointHandles';
import { RideHandle } from './RideHandle';
import { SeatHandles } from './SeatHandles';
import { BoxHandles, PathGrip, ShapeHandles } from './ShapeHandles';
import { snapThrough } from './snap';
import { SnapLines } from './SnapLines';
import { usePress } from './usePress';
import { useView, type Standing } from './view';

/** Everything that lies over the picture and round it, and is never in the output. */
export function Overlay({ frame: { left, top, scale } }: { frame: Standing }) {
  const room = useView((s) => s.room);
  // A pixel of the screen.
  const unit = 1 / scale;
  const svg = useRef<SVGSVGElement>(null);
  const within = useRef<SVGGElement>(null);
  const round = useRef<SVGGElement>(null);
  const [points, setPoints] = useState<SVGGElement | null>(null);
  const toFrame = useMemo(() => sceneCoordinates(svg), []);
  // What stands in groups is edited where they bring it.
  const toWithin = useMemo(() => sceneCoordinates(within), []);
  const toRound = useMemo(() => sceneCoordinates(round), []);
  const doc = useEditor((s) => s.doc);
  const paths = useEditor((s) => s.summary?.paths);
  const selected = useEditor((s) => s.selected);
  const tab = useEditor((s) => s.tab);
  const overlays = useEditor((s) => s.overlays);
  const drawing = useEditor((s) => s.drawing);
  const pickStart = useEditor((s) => s.pickStart);
  const chosenPath = useEditor(pathOf);
  const lettering = letteringOf(doc, selected);
  const cut = cutOf(doc, selected);
  const on = lettering ?? cut;
  const own = doc?.paths.find((p) => p.id === on?.path);
  const path = tab === 'path' ? chosenPath : own;
  const line = useLine(path);
  const withPoints = path?.kind === 'drawn' || path?.kind === 'smooth' ? path : undefined;
  const placed = placedOf(doc, selected);
  const about = placed?.id ?? (drawing || path?.id === on?.path ? on?.id : undefined);
  // A path is edited as it is; elsewhere it is shown where the words are.
  const turned = tab !== 'path' && !drawing;
  const groupTransform = useTransform(about, (id, time) =>
    // Paths lie in the pixels round items, whatever carries those; that of a cut goes with it.
    turned || (cut && !drawing)
      ? core.groupTransform(id, time, turned)
      : core.roundTransform(id, time),
  );
  const roundTransform = useTransform(selected ?? undefined, core.roundTransform);
  // What is turned in space is seen in perspective: its handles lie in the pixels of the frame.
  const planeMap = usePlaneMap(turned && !drawing ? on?.id : undefined);
  const put = useMemo(() => (planeMap ? putThrough(planeMap) : undefined), [planeMap]);
  const toScene = useMemo<ToScene>(
    () => (planeMap ? (e) => backThrough(planeMap, ...toFrame(e)) : toWithin),
    [planeMap, toFrame, toWithin],
  );
  const inner = planeMap ? unit : unit / Math.hypot(groupTransform[0] ?? 1, groupTransform[1] ?? 0);
  useEffect(() => snapThrough(groupTransform), [groupTransform]);
  // A path that holds to footage is edited where it stands by itself.
  const away = useEditor(
    (s) =>
      path?.pin !== undefined && (path.pin.laid === true || Math.abs(path.pin.at - s.time) > 1e-6),
  );
  const pinOpen = usePins((s) => s.open);
  const film = tab === 'dress' ? footageOf(doc, selected) : undefined;
  const marks = !drawing && film && !film.locked && film.pins?.some((p) => p.id === pinOpen);
  const matrix = planeMap ? undefined : `matrix(${groupTransform.join(' ')})`;
  const { press, pressTwice, menu, pointsBox, itemsBox } = usePress({
    unit,
    inner,
    toFrame,
    toScene,
    toRound,
    withPoints,
  });
  if (!doc || !paths) return null;

  const known = path && paths[path.id];
  const free = known && !away && !path.locked && !path.hidden && !drawing && !pickStart;
  const seats = lettering && !isLocked(doc, lettering.id) && !drawing;
  const everywhere = fieldOf(doc, selected)?.area === 'frame';
  const places =
    placed && !everywhere && !isLocked(doc, placed.id) && !drawing && !marks && tab !== 'path';
  const item = itemOf(doc, selected);
  const dressed = tab === 'dress' && item && !isLocked(doc, item.id) && !drawing ? item : null;
  const rides = item?.ride && !isLocked(doc, item.id) && turned && tab !== 'words' ? item : null;
  const rail = rides && doc.paths.find((p) => p.id === rides.ride?.path);
  const outer = unit / Math.hypot(roundTransform[0] ?? 1, roundTransform[1] ?? 0);
  const seen = [-left * unit, -top * unit, room[0] * unit, room[1] * unit];
  const viewBox = seen.join(' ');
  return (
    <>
      <svg
        ref={svg}
        viewBox={viewBox}
        className={`absolute inset-0 size-full touch-none ${pickStart ? 'cursor-crosshair' : ''}`}
        onPointerDown={press}
        onDoubleClick={pressTwice}
        onContextMenu={menu}
        data-testid="overlay"
      >
        <FrameLines doc={doc} thirds={overlays.thirds} safe={overlays.safe} unit={unit} />
        <Guides doc={doc} seen={seen} unit={unit} toFrame={toFrame} />
        <OtherTimes width={doc.width} height={doc.height} unit={unit} />
        {overlays.others && <OtherPaths chosen={path?.id} unit={unit} />}
        <g ref={within} transform={matrix}>
          {cut && overlays.cut && path?.id === cut.path && (
            <path
              d={`M-20000-20000H20000V20000H-20000Z${line}Z`}
              fillRule="evenodd"
              className="pointer-events-none fill-ink/60"
              data-testid="rest-dimmed"
            />
          )}
          {planeMap && on ? (
            <PlanePath id={on.id} unit={unit} />
          ) : (
            <PathLines path={path} unit={inner} toScene={toScene} />
          )}
          {free && tab === 'path' && !withPoints && (
            <>
              <PathGrip path={path} unit={inner} toScene={toScene} line={line} />
              <BoxHandles path={path} unit={inner} toScene={toScene} />
              {isShape(path) && <ShapeHandles path={path} unit={inner} toScene={toScene} />}
            </>
          )}
          {free && tab === 'path' && withPoints && (
            <PointHandles
              path={withPoints}
              layer={points}
              line={line}
              unit={inner}
              toScene={toScene}
            />
          )}
          {seats && (tab === 'words' || tab === 'seat' || tab === 'move') && (
            <SeatHandles
              id={lettering.id}
              stops={tab !== 'words'}
              unit={inner}
              toScene={toScene}
              {...(put ? { put } : {})}
            />
          )}
          {places && bitmappedOf(doc, placed.id) && (
            <PictureHandles id={placed.id} unit={inner} toScene={toScene} toRound={toRound} />
          )}
          {places && (
            <PlaceHandles
              id={placed.id}
              scales={!bitmappedOf(doc, placed.id)}
              unit={inner}
              toScene={toScene}
              toRound={toRound}
            />
          )}
          <Marquee box={pointsBox} unit={inner} />
          {drawing && <DrawingLayer drawing={drawing} unit={inner} toScene={toScene} />}
        </g>
        <g ref={round} transform={`matrix(${roundTransform.join(' ')})`}>
          {rail && <PathLines path={rail} unit={outer} toScene={toRound} />}
          {dressed && <GradientHandles id={dressed.id} unit={outer} toRound={toRound} />}
          {dressed && <EffectHandles item={dressed} unit={outer} toScene={toRound} />}
          {rides && !placed && <RideHandle id={rides.id} unit={outer} toRound={toRound} />}
        </g>
        {dressed?.plane && <BallHandle id={dressed.id} unit={unit} toFrame={toFrame} />}
        <Marquee box={itemsBox} unit={unit} />
        {marks && <PinMarks footage={film} unit={unit} toFrame={toFrame} />}
        <SnapLines width={doc.width} height={doc.height} unit={unit} />
      </svg>
      <svg
        viewBox={viewBox}
        className="pointer-events-none absolute inset-0 size-full touch-none will-change-transform"
      >
        <g ref={setPoints} transform={matrix} />
      </svg>
    </>
  );
}

/**
 * The map of an item to the frame at the playhead, as six numbers of a matrix. It is the same array
 * while they are the same: a drag or playback does not draw the whole overlay anew for it.
 */
function useTransform(
  item: string | undefined,
  of: (item: string, time: number) => Float64Array,
): number[] {
  const numbers = useEditor((s) =>
    item && s.shown > 0 && s.summary?.items[item] ? of(item, s.time).join(' ') : '1 0 0 1 0 0',
  );
  return useMemo(() => numbers.split(' ').map(Number), [numbers]);
}

/** The map of words in space to the frame at the playhead; undefined where they are not turned. */
function usePlaneMap(item: string | undefined): Float64Array | undefined {
  const numbers = useEditor((s) =>
    item && s.shown > 0 && s.summary?.items[item] ? core.planeMap(item, s.time).join(' ') : '',
  );
  return useMemo(
    () => (numbers ? new Float64Array(numbers.split(' ').map(Number)) : undefined),
    [numbers],
  );
}

function Marquee({ box, unit }: { box: Box | null; unit: number }) {
  if (!box) return null;
  const [left, top, right, bottom] = box;
  return (
    <rect
      x={left}
      y={top}
      width={right - left}
      height={bottom - top}
      className="pointer-events-none fill-teal/10 stroke-teal"
      strokeWidth={unit}
      data-testid="marquee"
    />
  );
}

interface FrameLinesProps {
  doc: { width: number; height: number };
  thirds: boolean;
  safe: boolean;
  unit: number;
}

function FrameLines({ doc, thirds, safe, unit }: FrameLinesProps) {
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
