import { useTimeWords } from '../state/timeUnit';
import { labelOf, unitOf } from '../core/core';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { Gauge, Pin, Table2, ZoomIn, ZoomOut } from 'lucide-react';
import * as core from '../core/core';
import type { Channel } from '../core/document';
import { useEditor } from '../state/editor';
import { letteringOf, nameOf } from '../state/items';
import { useSounds } from '../stage/sound';
import { markOf } from '../stage/StackStrip';
import { channelsOf, chartedOf } from '../state/channels';
import { Choice } from '../ui/Choice';
import { IconButton } from '../ui/IconButton';
import { Chart } from './Chart';
import { KeyframePanel } from './KeyframePanel';
import { KeyTable } from './KeyTable';
import { Lane, LANE } from './Lane';
import { extent, scaleOf } from './scale';
import { Unrolled } from './Unrolled';
import { Wave, WAVE } from './Wave';
import { toggleLane, useView, zoomAt } from './view';

/** The right column: the chosen item's movement, value across and time down. */
export function Journey() {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const summary = useEditor((s) => s.summary);
  const tick = useEditor((s) => s.charting);
  const lettering = letteringOf(doc, selected);
  const all = channelsOf(doc, selected);
  const channel = useEditor(chartedOf);
  const { zoom, start, lanes: pinned, speed, table } = useView();
  const lanes = pinned.filter((c) => all.includes(c) && c !== channel);
  const laneCount = lanes.length + (speed ? 1 : 0);
  const shown = useEditor((s) => s.summary?.items[s.selected ?? ''] !== undefined);
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState<[number, number]>([320, 400]);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setRoom([element.clientWidth, element.clientHeight]));
    observer.observe(element);
    return () => observer.disconnect();
    // The chart's box is a new one after the table was open.
  }, [shown, table]);

  const item = summary?.items[selected ?? ''];
  // Of a drag every frame counts; fewer samples do until it rests.
  const count = useEditor((s) => (s.previewing ? 60 : 160));
  const samples = useMemo(
    () =>
      item && selected && tick > 0 ? core.journey(selected, channel, count) : new Float64Array(),
    [item, selected, channel, tick, count],
  );
  const along = lettering !== undefined && channel === 'pathOffset';
  const length = along ? (item?.length ?? null) : null;
  const heard = useSounds().length > 0;
  const width = room[0] - (heard ? WAVE + 8 : 0) - laneCount * LANE - (laneCount > 0 ? 8 : 0);
  const [from, to] = useMemo(
    () => extent(samples, length, unitOf(channel)),
    [samples, length, channel],
  );
  const scale = useMemo(
    () => scaleOf([from, to], length, width, room[1], doc?.length ?? 1, { zoom, start }),
    [from, to, length, width, room, doc?.length, zoom, start],
  );

  return (
    <aside className="flex min-h-0 flex-1 flex-col bg-sheet pt-3" aria-label="Journey">
      <Header channel={channel} known={item !== undefined} />
      {!item || !selected ? (
        <p className="mx-3.5 rounded-lg bg-paper p-3">
          Choose a lettering: its way along the path is drawn here, distance across and time down.
        </p>
      ) : (
        <>
          <Tools channel={channel} seconds={doc?.length ?? 1} />
          {table ? (
            <KeyTable item={selected} />
          ) : (
            <>
              {along && <Unrolled id={selected} scale={scale} />}
              {!along && (
                <p className="px-3.5 pb-1 text-[12px] text-soft">
                  across: {labelOf(channel).toLowerCase()}
                  {unitOf(channel) && ` in ${unitOf(channel)}`}, down: time
                </p>
              )}
              <div
                ref={box}
                className={`flex min-h-0 flex-1 ${laneCount > 0 ? 'pr-2' : ''}`}
                data-testid="chart"
              >
                {heard && <Wave scale={scale} height={room[1]} />}
                <div className="min-w-0 flex-1">
                  <Chart
                    item={selected}
                    channel={channel}
                    samples={samples}
                    scale={scale}
                    along={along}
                  />
                </div>
                {speed && <Lane item={selected} channel="speed" charted={channel} scale={scale} />}
                {lanes.map((c) => (
                  <Lane key={c} item={selected} channel={c} charted={channel} scale={scale} />
                ))}
              </div>
            </>
          )}
          <KeyframePanel item={selected} channel={channel} />
        </>
      )}
    </aside>
  );
}

/** Whose journey it is, and which of its values. */
const Header = memo(function Header({ channel, known }: { channel: Channel; known: boolean }) {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const moving = useEditor((s) => s.summary?.items[s.selected ?? '']?.moving);
  return (
    <header className="mb-2 flex items-center gap-2 px-3.5">
      <h1 className="font-head text-[17px] font-semibold">Journey</h1>
      {known && (
        <>
          <span className="ml-auto flex max-w-36 min-w-0 items-center gap-1.5 rounded-full border border-rule px-2.5 py-1">
            <span className={`size-2 shrink-0 ${doc && selected ? markOf(doc, selected) : ''}`} />
            <span className="truncate">{nameOf(doc, selected ?? '')}</span>
          </span>
          <div className="w-31 shrink-0">
            <Choice
              bare
              label="Charted value"
              value={channel}
              options={channelsOf(doc, selected).map((c) => ({
                value: c,
                label: labelOf(c),
                detail: moving?.includes(c) ? 'moves' : undefined,
              }))}
              onChange={(c) => useEditor.setState({ charted: c, keyframe: null, keys: [] })}
            />
          </div>
        </>
      )}
    </header>
  );
});

/** Speed, lanes, the table, and how much of the time is in view. */
function Tools({ channel, seconds }: { channel: Channel; seconds: number }) {
  const { zoom, speed, table, lanes } = useView();
  const words = useTimeWords();
  const pinned = lanes.includes(channel);
  return (
    <div className="mb-1 flex items-center gap-0.5 px-3" role="group" aria-label="Chart">
      <IconButton
        label="Show the speed beside it"
        pressed={speed}
        onClick={() => useView.setState({ speed: !speed })}
      >
        <Gauge className="size-4" />
      </IconButton>
      <IconButton
        label={pinned ? 'Unpin this value' : 'Pin this value as a lane'}
        pressed={pinned}
        onClick={() => toggleLane(channel)}
      >
        <Pin className="size-4" />
      </IconButton>
      <IconButton
        label="Keyframes as a table"
        pressed={table}
        onClick={() => useView.setState({ table: !table })}
      >
        <Table2 className="size-4" />
      </IconButton>
      <span className="ml-auto text-[11px] text-soft">
        {zoom > 1.01 ? `${words(seconds / zoom, 1)} of ${words(seconds)}` : ''}
      </span>
      <IconButton label="Closer" onClick={() => zoomAt(useEditor.getState().time, 1.5, seconds)}>
        <ZoomIn className="size-4" />
      </IconButton>
      <IconButton
        label="Farther"
        disabled={zoom <= 1.01}
        onClick={() => zoomAt(useEditor.getState().time, 1 / 1.5, seconds)}
      >
        <ZoomOut className="size-4" />
      </IconButton>
    </div>
  );
}
