import { labelOf, unitOf } from '../core/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import * as core from '../core/core';
import type { Channel } from '../core/document';
import { letteringOf, pictureOf, useEditor } from '../state/editor';
import { Choice } from '../ui/Choice';
import { Chart } from './Chart';
import { KeyframePanel } from './KeyframePanel';
import { scaleOf } from './scale';
import { Unrolled } from './Unrolled';

/** The right column: the chosen item's movement, value across and time down. */
export function Journey() {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const summary = useEditor((s) => s.summary);
  const opened = useEditor((s) => s.opened);
  const wanted = useEditor((s) => s.charted);
  const lettering = letteringOf(doc, selected);
  const picture = pictureOf(doc, selected);
  const channels: Channel[] = lettering
    ? ['pathOffset', 'startMargin', 'endMargin', 'baselineShift', 'size', 'opacity', 'rotation']
    : ['rotation', 'opacity'];
  const channel = channels.includes(wanted) ? wanted : channels[0]!;
  const shown = useEditor((s) => s.summary?.items[s.selected ?? ''] !== undefined);
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState<[number, number]>([320, 400]);
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setRoom([element.clientWidth, element.clientHeight]));
    observer.observe(element);
    return () => observer.disconnect();
  }, [shown]);

  const item = summary?.items[selected ?? ''];
  const samples = useMemo(
    () =>
      item && selected && opened > 0 ? core.journey(selected, channel, 160) : new Float64Array(),
    [item, selected, channel, opened],
  );
  const along = lettering !== undefined && channel === 'pathOffset';
  const scale = useMemo(
    () =>
      scaleOf(samples, along ? (item?.length ?? null) : null, room[0], room[1], doc?.length ?? 1),
    [samples, along, item, room, doc?.length],
  );

  return (
    <aside
      className="flex w-87 shrink-0 flex-col border-l border-rule bg-sheet pt-3"
      aria-label="Journey"
    >
      <header className="mb-2 flex items-center gap-2 px-3.5">
        <h1 className="font-head text-[17px] font-semibold">Journey</h1>
        {item && (
          <>
            <span className="ml-auto flex max-w-36 min-w-0 items-center gap-1.5 rounded-full border border-rule px-2.5 py-1">
              <span
                className={`size-2 shrink-0 ${lettering ? 'rounded-full bg-teal' : 'rounded-[2px] bg-ochre'}`}
              />
              <span className="truncate">
                {lettering?.text.trim() || picture?.name || 'No words yet'}
              </span>
            </span>
            <div className="w-31 shrink-0">
              <Choice
                bare
                label="Charted value"
                value={channel}
                options={channels.map((c) => ({
                  value: c,
                  label: labelOf(c),
                  detail: item.channels[c] ? 'moves' : undefined,
                }))}
                onChange={(c) => useEditor.setState({ charted: c, keyframe: null })}
              />
            </div>
          </>
        )}
      </header>
      {!item || !selected ? (
        <p className="mx-3.5 rounded-lg bg-paper p-3">
          Choose a lettering: its way along the path is drawn here, distance across and time down.
        </p>
      ) : (
        <>
          {along && <Unrolled id={selected} scale={scale} />}
          {!along && (
            <p className="px-3.5 pb-1 text-[12px] text-soft">
              across: {labelOf(channel).toLowerCase()} in {unitOf(channel)}, down: time
            </p>
          )}
          <div ref={box} className="min-h-0 flex-1" data-testid="chart">
            <Chart
              item={selected}
              channel={channel}
              samples={samples}
              scale={scale}
              along={along}
            />
          </div>
          <KeyframePanel item={selected} channel={channel} along={along} />
        </>
      )}
    </aside>
  );
}
