import { useEffect, useMemo, useRef, useState } from 'react';
import { onFrame } from '../core/core';
import * as core from '../core/core';
import type { KeyframeInfo } from '../core/core';
import { applyEdit, useEditor } from '../state/editor';
import type { Channel } from '../core/document';
import { useTimeWords } from '../state/timeUnit';
import { drag } from '../stage/drag';
import { BendHandles } from './BendHandles';
import { Grid } from './ChartGrid';
import { Band, CueLines, linePath, OtherLines } from './ChartLines';
import { Playhead } from './Playhead';
import { Chip } from './Chip';
import { scrollBy, zoomAt } from './view';
import { Ring } from './Ring';
import { AwayShade, ShownBar } from './ShownSpan';
import { chipBox, ringLabels, wordsBox } from './labels';
import type { Scale } from './scale';
import { easingLabel } from './words';

interface Props {
  item: string;
  channel: Channel;
  samples: Float64Array;
  scale: Scale;
  along: boolean;
}

const NONE: KeyframeInfo[] = [];

/** The chart: grid, band, line, easing chips, rings and playhead. */
export function Chart({ item, channel, samples, scale, along }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const keys = useEditor((s) => s.summary?.items[item]?.channels[channel]) ?? NONE;
  const chosen = useEditor((s) => s.keyframe);
  const moves = useEditor((s) => s.summary?.items[item]?.moving.includes(channel) ?? false);
  const shown = useEditor((s) => s.charting);
  const toChart = (e: { clientX: number; clientY: number }): [number, number] => {
    const box = svg.current?.getBoundingClientRect();
    return [e.clientX - (box?.left ?? 0), e.clientY - (box?.top ?? 0)];
  };
  useWheel(svg, scale);
  const [box, setBox] = useState<[number, number, number, number] | null>(null);
  const xs = useMemo(
    () => (shown > 0 ? keys.map((k) => core.charted(item, channel, k.time)) : []),
    [keys, item, channel, shown],
  );

  const words = useTimeWords();
  const cues = useEditor((s) => s.doc?.cues);
  const spots = keys.map((info, i) => ({ info, x: scale.x(xs[i] ?? 0), y: scale.y(info.time) }));
  const labels = ringLabels(spots, scale);
  const taken = [
    ...labels.flatMap((l) => (l ? [l.box] : [])),
    ...(cues ?? []).map((c) => wordsBox(c.name, scale.left + 4, scale.y(c.time) - 3, false)),
    ...spots.slice(1).map((b, i) => {
      const a = spots[i]!;
      const ends: [number, number] = [Math.min(a.x, b.x), Math.max(a.x, b.x)];
      return chipBox(easingLabel(a.info, b.info, words), ends, (a.y + b.y) / 2, scale);
    }),
  ];

  const add = (e: React.MouseEvent) => {
    const [x, y] = toChart(e);
    const { doc } = useEditor.getState();
    if (!doc) return;
    const time = onFrame(scale.time(y));
    const now = core.value(item, channel, time);
    const value = now + scale.value(x) - core.charted(item, channel, time);
    // Near the line the new keyframe stands on it and changes nothing yet.
    const near =
      Math.abs(scale.x(scale.value(x)) - scale.x(core.charted(item, channel, time))) < 12;
    applyEdit({ op: 'key', item, channel, time, value: near ? now : value });
    choose(item, channel, time);
  };

  /** A box drawn on the empty chart chooses the keyframes in it; a click chooses none. */
  const marquee = (e: React.PointerEvent) => {
    const [x0, y0] = toChart(e);
    useEditor.setState({ keyframe: null, keys: [] });
    drag(
      e,
      toChart,
      (x, y) => {
        const b: [number, number, number, number] = [
          Math.min(x, x0),
          Math.min(y, y0),
          Math.max(x, x0),
          Math.max(y, y0),
        ];
        if (b[2] - b[0] < 4 && b[3] - b[1] < 4) return;
        setBox(b);
        const inside = keys.flatMap((k, i) => {
          const [kx, ky] = [scale.x(xs[i] ?? 0), scale.y(k.time)];
          return kx >= b[0] && kx <= b[2] && ky >= b[1] && ky <= b[3] ? [i] : [];
        });
        useEditor.setState({ keys: inside, keyframe: inside.length === 1 ? inside[0]! : null });
      },
      () => setBox(null),
    );
  };

  const height = Math.max(0, scale.height);
  return (
    <div className="relative size-full">
      <svg
        ref={svg}
        width={scale.width}
        height={height}
        className="block touch-none"
        onDoubleClick={add}
        onPointerDown={marquee}
        data-testid="chart-svg"
        role="group"
        aria-label="Chart of the movement; every keyframe can also be set by number below"
      >
        <clipPath id="plot">
          <rect x={scale.left} y={0} width={scale.right - scale.left} height={height} />
        </clipPath>
        <Grid item={item} scale={scale} along={along} />
        <g clipPath="url(#plot)">
          {along && <OtherLines item={item} scale={scale} />}
          {along && <Band samples={samples} scale={scale} />}
          <path d={linePath(samples, scale)} fill="none" className="stroke-teal" strokeWidth={2} />
          <AwayShade item={item} scale={scale} />
        </g>
        {chosen !== null && keys[chosen] && keys[chosen + 1] && (
          <BendHandles
            item={item}
            channel={channel}
            index={chosen}
            from={{ key: keys[chosen], x: xs[chosen] ?? 0 }}
            to={{ key: keys[chosen + 1]!, x: xs[chosen + 1] ?? 0 }}
            scale={scale}
            toChart={toChart}
          />
        )}
        <CueLines scale={scale} toChart={toChart} />
        <Playhead item={item} channel={channel} scale={scale} toChart={toChart} taken={taken} />
        <ShownBar item={item} scale={scale} toChart={toChart} />
        {box && (
          <rect
            x={box[0]}
            y={box[1]}
            width={box[2] - box[0]}
            height={box[3] - box[1]}
            className="pointer-events-none fill-teal/10 stroke-teal"
          />
        )}
        {keys.map((k, i) => (
          <Ring
            key={i}
            item={item}
            channel={channel}
            index={i}
            info={k}
            x={xs[i] ?? 0}
            label={labels[i] ?? null}
            scale={scale}
            toChart={toChart}
          />
        ))}
      </svg>
      {keys.slice(0, -1).map((k, i) => (
        <Chip
          key={i}
          item={item}
          channel={channel}
          index={i}
          a={k}
          b={keys[i + 1]!}
          from={Math.min(xs[i] ?? 0, xs[i + 1] ?? 0)}
          to={Math.max(xs[i] ?? 0, xs[i + 1] ?? 0)}
          scale={scale}
        />
      ))}
      {keys.length === 0 && !moves && (
        <p className="pointer-events-none absolute inset-x-12 top-1/2 rounded-md bg-sheet/90 p-2.5 text-center text-soft">
          It stands still. Double-click anywhere here to set a first keyframe, then another further
          down for later.
        </p>
      )}
    </div>
  );
}

function choose(item: string, channel: Channel, time: number): void {
  const keys = useEditor.getState().summary?.items[item]?.channels[channel] ?? [];
  const index = keys.findIndex((k) => Math.abs(k.time - time) < 1e-4);
  useEditor.setState({ keyframe: index < 0 ? null : index, keys: index < 0 ? [] : [index] });
}

/** The wheel scrolls time; with Ctrl it zooms about the pointer. */
function useWheel(svg: React.RefObject<SVGSVGElement | null>, scale: Scale): void {
  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      const y = e.clientY - element.getBoundingClientRect().top;
      if (e.ctrlKey) zoomAt(scale.time(y), e.deltaY < 0 ? 1.2 : 1 / 1.2, scale.seconds);
      else scrollBy(((e.deltaY || e.deltaX) / 400) * (scale.last - scale.first), scale.seconds);
    };
    // React listens passively, and then the page would be zoomed too.
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [svg, scale]);
}

export interface PartProps {
  item: string;
  channel: Channel;
  scale: Scale;
  toChart: (e: { clientX: number; clientY: number }) => [number, number];
}
