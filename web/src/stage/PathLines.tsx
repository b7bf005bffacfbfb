import { useMemo } from 'react';
import * as core from '../core/core';
import type { GuidePath } from '../core/document';
import { useEditor } from '../state/editor';
import { letteringOf } from '../state/items';
import { openPathMenu } from '../state/pathActions';
import { choosePath, editPath } from '../state/paths';
import { drag } from './drag';
import type { ToScene } from './coordinates';

interface Props {
  path: GuidePath | undefined;
  unit: number;
  toScene: ToScene;
}

/** Path data at the playhead; with {@code follow}, as an edit under way has it. */
export function useLine(path: GuidePath | undefined, follow = false): string {
  const info = useEditor((s) => (path ? s.summary?.paths[path.id] : undefined));
  const time = useEditor((s) => (info?.moves ? s.time : 0));
  const previewed = useEditor((s) => (follow && s.previewing ? s.shown : 0));
  return useMemo(() => {
    if (!info || !path) return '';
    if (previewed > 0) return core.lineData(path.id, time);
    return info.moves ? core.pathData(path.id, time) : info.d;
  }, [info, path, time, previewed]);
}

/** The chosen path and what is to be shown along it. */
export function PathLines({ path, unit, toScene }: Props) {
  const overlays = useEditor((s) => s.overlays);
  const drawing = useEditor((s) => s.drawing !== null);
  const line = useLine(path, true);
  return (
    <g>
      {path && !path.hidden && overlays.path && (
        <>
          <Along path={path} unit={unit} />
          <path
            d={line}
            fill="none"
            className="pointer-events-none stroke-vermilion"
            strokeWidth={1.5 * unit}
          />
          <Ticks path={path} unit={unit} />
          {!drawing && <StartFlag path={path} unit={unit} toScene={toScene} />}
        </>
      )}
    </g>
  );
}

/** The paths that are not chosen, faintly. */
export function OtherPaths({ chosen, unit }: { chosen: string | undefined; unit: number }) {
  const paths = useEditor((s) => s.doc?.paths);
  const summary = useEditor((s) => s.summary);
  const open = useEditor((s) => s.tab === 'path' && s.drawing === null);
  if (!open) return null;
  return (
    <g>
      {paths?.map((p) => {
        const d = summary?.paths[p.id]?.d;
        if (p.id === chosen || p.hidden || !d) return null;
        return (
          <g
            key={p.id}
            className="group cursor-pointer"
            onPointerDown={(e) => {
              e.stopPropagation();
              choosePath(p.id);
            }}
            onContextMenu={(e) => openPathMenu(e, p.id)}
            data-testid={`path-${p.id}`}
          >
            <title>{p.name}: click to choose it</title>
            <path d={d} fill="none" stroke="transparent" strokeWidth={12 * unit} />
            <path
              d={d}
              fill="none"
              className="stroke-vermilion opacity-45 group-hover:opacity-100"
              strokeWidth={unit}
              strokeDasharray={`${4 * unit} ${4 * unit}`}
            />
          </g>
        );
      })}
    </g>
  );
}

/** The room, the bend comb and the stretches too tight for the type. */
function Along({ path, unit }: { path: GuidePath; unit: number }) {
  const overlays = useEditor((s) => s.overlays);
  const time = useEditor((s) => s.time);
  const shown = useEditor((s) => s.shown);
  const lettering = useEditor((s) => {
    const l = letteringOf(s.doc, s.selected);
    return l?.path === path.id && s.summary ? l.id : '';
  });
  const room = useMemo(
    () => (overlays.room && lettering && shown ? core.room(lettering, time) : ''),
    [overlays.room, lettering, shown, time],
  );
  // Of hundreds of points these are too many to follow a drag: they are back when it rests.
  const heavy = useEditor((s) => s.previewing) && 'points' in path && path.points.length > 100;
  const tight = useMemo(
    () => (overlays.tight && lettering && shown && !heavy ? core.tight(lettering, time) : ''),
    [overlays.tight, lettering, shown, time, heavy],
  );
  const comb = useMemo(() => {
    if (!overlays.comb || !shown) return '';
    const n = core.comb(path.id, 160, 34 * unit, time);
    let teeth = '';
    let edge = '';
    for (let i = 0; i + 3 < n.length; i += 4) {
      teeth += `M${n[i]} ${n[i + 1]}L${n[i + 2]} ${n[i + 3]}`;
      edge += `${i ? 'L' : 'M'}${n[i + 2]} ${n[i + 3]}`;
    }
    return teeth + edge;
  }, [overlays.comb, shown, path.id, unit, time]);
  return (
    <g className="pointer-events-none" fill="none">
      {room && (
        <path
          d={room}
          className="stroke-teal opacity-25"
          strokeWidth={9 * unit}
          data-testid="room"
        />
      )}
      {comb && (
        <path
          d={comb}
          className="stroke-teal opacity-60"
          strokeWidth={0.8 * unit}
          data-testid="comb"
        />
      )}
      {tight && (
        <path
          d={tight}
          className="stroke-ochre opacity-80"
          strokeWidth={6 * unit}
          data-testid="tight"
        >
          <title>Bends too tightly for this type size</title>
        </path>
      )}
    </g>
  );
}

/** Chevrons that point the way, and a tick with its share at every tenth. */
function Ticks({ path, unit }: { path: GuidePath; unit: number }) {
  const overlays = useEditor((s) => s.overlays);
  const time = useEditor((s) => s.time);
  const shown = useEditor((s) => s.shown);
  const length = useEditor((s) => s.summary?.paths[path.id]?.length ?? 0);
  const ready = useEditor((s) => s.summary?.paths[path.id] !== undefined);
  const chevrons = useMemo(() => {
    if (shown < 1 || !ready || !overlays.direction) return [];
    const count = Math.max(3, Math.min(24, Math.round(length / (95 * unit))));
    return triples(core.marks(path.id, count, time));
  }, [ready, overlays.direction, length, unit, path, time, shown]);
  const tenths = useMemo(
    () => (shown > 0 && ready && overlays.tenths ? triples(core.tenths(path.id, time)) : []),
    [ready, overlays.tenths, path, time, shown],
  );
  return (
    <g className="pointer-events-none stroke-vermilion" fill="none">
      {chevrons.map(([x, y, angle], i) => (
        <path
          key={i}
          strokeWidth={1.5}
          d="M-3.5-4L2.5 0L-3.5 4"
          transform={`translate(${x} ${y}) rotate(${angle}) scale(${unit})`}
        />
      ))}
      {tenths.map(([x, y, angle], i) => (
        <g key={i} transform={`translate(${x} ${y}) rotate(${angle}) scale(${unit})`}>
          <path d="M0-6V6" strokeWidth="1.5" />
          <text y="19" textAnchor="middle" fontSize="10" className="halo fill-vermilion">
            {i * 10}
          </text>
        </g>
      ))}
    </g>
  );
}

function triples(flat: Float64Array): [number, number, number][] {
  return Array.from({ length: flat.length / 3 }, (_, i) => [
    flat[i * 3]!,
    flat[i * 3 + 1]!,
    flat[i * 3 + 2]!,
  ]);
}

/** Where the path begins; on a closed path it can be dragged to another place. */
function StartFlag({ path, unit, toScene }: Props & { path: GuidePath }) {
  const time = useEditor((s) => s.time);
  const shown = useEditor((s) => s.shown);
  const tab = useEditor((s) => s.tab);
  const info = useEditor((s) => s.summary?.paths[path.id]);
  const showLength = useEditor((s) => s.overlays.length);
  if (!info || shown < 1 || (tab !== 'path' && !showLength)) return null;
  const [x = 0, y = 0] = core.tenths(path.id, time);
  const free = info.closed && !path.locked && tab === 'path';
  return (
    <g
      transform={`translate(${x} ${y}) scale(${unit})`}
      className={free ? 'cursor-grab' : 'pointer-events-none'}
      onPointerDown={
        free
          ? (e) => drag(e, toScene, (px, py) => editPath('startAt', { x: px, y: py }, 'start'))
          : undefined
      }
      data-testid="start-flag"
    >
      <title>The start{free ? ': drag it along the path' : ''}</title>
      <path d="M-6-24H14V4H-6Z" fill="transparent" />
      <path
        d="M0 0V-20L11-16L0-12"
        className="fill-vermilion stroke-vermilion"
        strokeWidth="1.6"
        strokeLinejoin="round"
      />
      {showLength && (
        <text x="15" y="-12" fontSize="11" className="halo fill-vermilion">
          {info.length.toFixed(0)} px
        </text>
      )}
    </g>
  );
}
