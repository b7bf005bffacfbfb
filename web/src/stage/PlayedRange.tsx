import { useRef } from 'react';
import { onFrame } from '../core/core';
import { useEditor } from '../state/editor';
import { playBetween } from '../state/range';
import { useFps, useTimeWords } from '../state/timeUnit';
import { drag } from './drag';

/** Over the scrubber: which part of the scene is played. Dragging along it chooses one. */
export function PlayedRange({ length }: { length: number }) {
  const range = useEditor((s) => s.range);
  const words = useTimeWords();
  const frame = 1 / useFps();
  const strip = useRef<HTMLDivElement>(null);
  const toTime = (e: { clientX: number }): [number, number] => {
    const box = strip.current!.getBoundingClientRect();
    return [onFrame(((e.clientX - box.left) / box.width) * length), 0];
  };
  const choose = (e: React.PointerEvent) => {
    const [from] = toTime(e);
    drag(e, toTime, (to) => playBetween(from, to));
  };
  const percent = (time: number) => `${(100 * time) / length}%`;
  const ends = range && [
    {
      label: 'Played from',
      at: range[0],
      put: (t: number) => playBetween(Math.min(t, range[1] - frame), range[1]),
    },
    {
      label: 'Played up to',
      at: range[1],
      put: (t: number) => playBetween(range[0], Math.max(t, range[0] + frame)),
    },
  ];
  return (
    <div
      ref={strip}
      className="relative mx-2 h-3.5 cursor-text touch-none"
      title="Drag along here to play only a part"
      data-testid="played"
      onPointerDown={choose}
    >
      <span className="pointer-events-none absolute inset-x-0 top-1.5 h-px bg-rule" />
      {range && (
        <span
          className="pointer-events-none absolute top-1 h-1.5 rounded-sm bg-teal"
          style={{ left: percent(range[0]), width: percent(range[1] - range[0]) }}
        />
      )}
      {ends?.map(({ label, at, put }) => (
        <span
          key={label}
          className="absolute inset-y-0 w-3 -translate-x-1/2 cursor-ew-resize touch-none rounded-sm border border-teal bg-sheet"
          style={{ left: percent(at) }}
          tabIndex={0}
          role="slider"
          aria-label={label}
          aria-valuemin={0}
          aria-valuemax={length}
          aria-valuenow={at}
          aria-valuetext={words(at)}
          title={`${label} ${words(at)}: drag, or use the arrow keys`}
          onPointerDown={(e) => drag(e, toTime, put)}
          onKeyDown={(e) => {
            const way = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[e.key];
            if (!way) return;
            e.preventDefault();
            e.stopPropagation();
            put(at + way * frame * (e.shiftKey ? 10 : 1));
          }}
        />
      ))}
    </div>
  );
}
