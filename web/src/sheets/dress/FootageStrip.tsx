import { useTimeWords } from '../../state/timeUnit';
import { useEffect, useRef } from 'react';
import type { Footage } from '../../core/document';
import { useBitmaps } from '../../stage/bitmaps';
import { drag } from '../../stage/drag';
import { frameOf } from '../../stage/footage';
import { changeItem } from '../../state/values';

/** Small frames side by side. */
const FRAMES = 7;

/** Px on screen. */
const [WIDTH, HEIGHT] = [280, 34];

interface Props {
  footage: Footage;
  /** The moment that is shown at the playhead; null where none is. */
  moment: number | null;
}

/** All of a footage in small frames, with its ends to be dragged. */
export function FootageStrip({ footage, moment }: Props) {
  const words = useTimeWords();
  const box = useRef<HTMLDivElement>(null);
  const { length } = footage;
  const first = footage.in ?? 0;
  const last = footage.out ?? length;
  const frame = 1 / footage.rate;
  const put = (end: 'in' | 'out', to: number) => {
    const at = Math.round(to * footage.rate) / footage.rate;
    const parts =
      end === 'in'
        ? { in: Math.min(Math.max(at, 0), last - frame) }
        : { out: Math.min(Math.max(at, first + frame), length) };
    changeItem(footage.id, parts, `${footage.id}.${end}`);
  };
  const toMoment = (e: { clientX: number }): [number, number] => {
    const { left, width } = box.current!.getBoundingClientRect();
    return [((e.clientX - left) / width) * length, 0];
  };
  const ends = [
    { end: 'in' as const, at: first, label: 'In' },
    { end: 'out' as const, at: last, label: 'Out' },
  ];
  const percent = (at: number) => `${(100 * at) / length}%`;
  return (
    <div ref={box} className="relative mx-1 mb-3" style={{ height: HEIGHT }} data-testid="strip">
      <div className="flex h-full overflow-hidden rounded-md border border-rule">
        {Array.from({ length: FRAMES }, (_, i) => (
          <FrameStill
            key={i}
            image={footage.image}
            moment={((i + 0.5) / FRAMES) * length}
            width={WIDTH / FRAMES}
            height={HEIGHT}
          />
        ))}
      </div>
      {[
        [0, first],
        [last, length],
      ].map(([from, to], i) => (
        <span
          key={i}
          className="pointer-events-none absolute inset-y-0 bg-paper opacity-75"
          style={{ left: percent(from!), width: percent(to! - from!) }}
        />
      ))}
      {moment !== null && (
        <span
          className="pointer-events-none absolute -inset-y-1 w-0.5 -translate-x-1/2 bg-vermilion"
          style={{ left: percent(moment) }}
        />
      )}
      {ends.map(({ end, at, label }) => (
        <span
          key={end}
          className={`absolute -inset-y-1 w-3 cursor-ew-resize touch-none rounded-sm border-teal ${
            end === 'in' ? '-translate-x-full border-r-3' : 'border-l-3'
          }`}
          style={{ left: percent(at) }}
          tabIndex={0}
          role="slider"
          aria-label={label}
          aria-valuemin={0}
          aria-valuemax={length}
          aria-valuenow={at}
          aria-valuetext={words(at)}
          title={`${label}: ${words(at)}. Drag, or use the arrow keys`}
          onPointerDown={(e) => drag(e, toMoment, (x) => put(end, x))}
          onKeyDown={(e) => {
            const way = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[e.key];
            if (!way) return;
            e.preventDefault();
            e.stopPropagation();
            put(end, at + way * frame * (e.shiftKey ? 10 : 1));
          }}
        />
      ))}
    </div>
  );
}

interface StillProps {
  image: string;
  moment: number;
  /** Px on screen; what of the frame is beyond is cut off. */
  width: number;
  height: number;
}

/** The frame of a moment, small. */
export function FrameStill({ image, moment, width, height }: StillProps) {
  const ref = useRef<HTMLCanvasElement>(null);
  const arrived = useBitmaps((s) => s.arrived);
  const ratio = window.devicePixelRatio || 1;
  useEffect(() => {
    const g = ref.current?.getContext('2d');
    const bitmap = frameOf(image, moment, width * ratio, height * ratio);
    if (!g || !bitmap) return;
    const k = Math.max(g.canvas.width / bitmap.width, g.canvas.height / bitmap.height);
    const x = (g.canvas.width - k * bitmap.width) / 2;
    const y = (g.canvas.height - k * bitmap.height) / 2;
    bitmap.pattern.setTransform(new DOMMatrix([k, 0, 0, k, x, y]).translate(-1, -1));
    g.clearRect(0, 0, g.canvas.width, g.canvas.height);
    g.fillStyle = bitmap.pattern;
    g.fillRect(0, 0, g.canvas.width, g.canvas.height);
  }, [image, moment, width, height, ratio, arrived]);
  return (
    <canvas
      ref={ref}
      aria-hidden
      width={Math.round(width * ratio)}
      height={Math.round(height * ratio)}
      style={{ width, height }}
      className="chequer block min-w-0 flex-1"
    />
  );
}
