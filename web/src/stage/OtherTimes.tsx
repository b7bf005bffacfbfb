import { useEffect, useMemo, useState } from 'react';
import * as core from '../core/core';
import type { Box } from '../core/document';
import { useEditor } from '../state/editor';
import { useTimeWords } from '../state/timeUnit';
import { useSettled } from '../ui/useSettled';
import { coverage, outlineBox } from './outlineBox';

/** So many keyframes are shown at most: those nearest to the playhead. */
const MOST = 24;

/** Of the smaller of a mark and the item, from which on the mark is left out. */
const COVERED = 0.5;

interface Props {
  width: number;
  height: number;
  unit: number;
}

/** Thin outlines of what is chosen: where it is at its keyframes, and what of it is out of sight. */
export function OtherTimes({ width, height, unit }: Props) {
  const id = useEditor((s) => s.selected);
  const { keys, beyond } = useEditor((s) => s.overlays);
  const busy = useEditor((s) => s.playing || s.drawing !== null);
  const onMove = useEditor((s) => s.tab === 'move');
  const shown = useEditor((s) => s.shown);
  const time = useEditor((s) => s.time);
  const wanted = !busy && (beyond || (keys && onMove));
  const now = useMemo(
    () => (id && shown > 0 && wanted ? core.silhouette(id, time) : ''),
    [id, shown, time, wanted],
  );
  if (!id || busy) return null;
  return (
    <g className="pointer-events-none" fill="none">
      {keys && onMove && <AtKeyframes key={id} id={id} now={now} unit={unit} />}
      {beyond && now && (
        <>
          <clipPath id="beyond-the-frame">
            <path
              d={`M-1e5-1e5H1e5V1e5H-1e5ZM0 0H${width}V${height}H0Z`}
              clipRule="evenodd"
              data-testid="beyond"
            />
          </clipPath>
          <path
            d={now}
            clipPath="url(#beyond-the-frame)"
            className="fill-soft/25 stroke-soft"
            strokeWidth={unit}
          />
        </>
      )}
    </g>
  );
}

interface Mark {
  times: number[];
  outline: string;
  box: Box | null;
}

function AtKeyframes({ id, now, unit }: { id: string; now: string; unit: number }) {
  const all = useMarks(id);
  const words = useTimeWords();
  // Outlines over the letters themselves, as of a full ring, would only soil them.
  const marks = useMemo(() => {
    const here = outlineBox(now);
    return all.filter((m) => coverage(m.box, here) < COVERED);
  }, [all, now]);
  return (
    <g data-testid="at-keyframes">
      {marks.map(({ times, outline }) => {
        const [x, y] = outline.slice(1).split(/[A-Z ]/, 2);
        return (
          <g key={times[0]} opacity={0.75}>
            <path d={outline} className="stroke-sheet/60" strokeWidth={2.5 * unit} />
            <path d={outline} className="stroke-ink/70" strokeWidth={0.75 * unit} />
            <text x={x} y={y} fontSize={11 * unit} className="halo fill-soft">
              {times.map((t) => words(t)).join(', ')}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** One after the other once editing rests: each is an item laid out anew. */
function useMarks(id: string): Mark[] {
  const [marks, setMarks] = useState<Mark[]>([]);
  const opened = useSettled(useEditor((s) => s.opened));
  const time = useSettled(useEditor((s) => s.time));
  const all = useMemo(() => (opened > 0 ? [...core.keyTimes(id)] : []), [id, opened]);
  const near = all.length > MOST ? nearest(all, time).join(' ') : all.join(' ');
  useEffect(() => {
    const found = new Map<string, Mark>();
    const times = near ? near.split(' ').map(Number) : [];
    let timer = setTimeout(next);
    function next() {
      const t = times.shift();
      if (t === undefined) {
        setMarks([...found.values()]);
        return;
      }
      const outline = core.silhouette(id, t);
      const same = found.get(outline);
      if (same) same.times.push(t);
      else if (outline) found.set(outline, { times: [t], outline, box: outlineBox(outline) });
      timer = setTimeout(next);
    }
    return () => clearTimeout(timer);
  }, [id, opened, near]);
  return marks;
}

const nearest = (times: number[], to: number) =>
  [...times]
    .sort((a, b) => Math.abs(a - to) - Math.abs(b - to))
    .slice(0, MOST)
    .sort((a, b) => a - b);
