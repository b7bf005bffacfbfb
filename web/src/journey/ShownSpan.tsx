import { useTimeWords } from '../state/timeUnit';
import { useEditor } from '../state/editor';
import { isLocked, itemOf } from '../state/items';
import { setShown } from '../state/values';
import { drag } from '../stage/drag';
import { framesPerSecond } from '../core/core';
import type { PartProps } from './Chart';

type Props = Pick<PartProps, 'item' | 'scale' | 'toChart'>;

function useSpan(item: string): [number, number] {
  const from = useEditor((s) => itemOf(s.doc, item)?.shownFrom ?? 0);
  const to = useEditor((s) => itemOf(s.doc, item)?.shownTo ?? s.doc?.length ?? 0);
  return [from, to];
}

/** The times at which the item is not there, laid over the plot. */
export function AwayShade({ item, scale }: Pick<Props, 'item' | 'scale'>) {
  const [from, to] = useSpan(item);
  const away: [number, number][] = [
    [0, from],
    [to, scale.seconds],
  ];
  return (
    <g className="pointer-events-none">
      {away.map(
        ([a, b]) =>
          b > a && (
            <rect
              key={a}
              x={scale.left}
              y={scale.y(a)}
              width={scale.right - scale.left}
              height={scale.y(b) - scale.y(a)}
              className="fill-paper"
              opacity={0.65}
              data-testid="away"
            />
          ),
      )}
    </g>
  );
}

/** The bar beside the plot that says when the item is there, with an end to drag at each side. */
export function ShownBar({ item, scale, toChart }: Props) {
  const [from, to] = useSpan(item);
  const rate = useEditor((s) => s.doc?.rate ?? '25');
  const locked = useEditor((s) => isLocked(s.doc, item));
  const words = useTimeWords();
  const limited = from > 0 || to < scale.seconds;
  const x = scale.left;
  const put = (end: 'from' | 'to', time: number) => setShown(item, { [end]: time }, `shown-${end}`);
  const press = (end: 'from' | 'to', time: number) => (e: React.KeyboardEvent) => {
    const way = { ArrowUp: -1, ArrowDown: 1 }[e.key];
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    put(end, time + (way * (e.shiftKey ? 10 : 1)) / framesPerSecond(rate));
  };
  const ends = [
    { end: 'from' as const, time: from, label: 'Shown from' },
    { end: 'to' as const, time: to, label: 'Shown to' },
  ];
  return (
    <g>
      <path
        d={`M${x} ${scale.y(from)}V${scale.y(to)}`}
        className={`pointer-events-none ${limited ? 'stroke-teal' : 'stroke-soft'}`}
        strokeWidth={limited ? 3 : 1}
      />
      {!locked &&
        ends.map(({ end, time, label }) => (
          <g
            key={end}
            className="cursor-ns-resize [&:focus-visible>path]:stroke-ink"
            transform={`translate(${x} ${scale.y(time)})`}
            onPointerDown={(e) => drag(e, toChart, (_, y) => put(end, scale.time(y)))}
            onKeyDown={press(end, time)}
            tabIndex={0}
            role="slider"
            aria-label={label}
            aria-orientation="vertical"
            aria-valuenow={time}
            aria-valuetext={words(time)}
            data-testid={`shown-${end}`}
          >
            <title>{`${label} ${words(time)}: drag up or down, or use the arrow keys`}</title>
            {/* Beside the plot only: in it a box may begin at the corner. */}
            <rect x={-16} y={-7} width={18} height={14} fill="transparent" />
            <path
              d={end === 'from' ? 'M-5 0H1M-3 4H1' : 'M-5 0H1M-3 -4H1'}
              className={limited ? 'stroke-teal' : 'stroke-soft'}
              strokeWidth={2}
            />
          </g>
        ))}
    </g>
  );
}
