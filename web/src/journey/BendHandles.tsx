import type { KeyframeInfo } from '../core/core';
import type { Channel } from '../core/document';
import { previewKeys } from '../state/editor';
import { drag } from '../stage/drag';
import type { Scale } from './scale';

interface End {
  key: KeyframeInfo;
  x: number;
}

interface Props {
  item: string;
  channel: Channel;
  index: number;
  from: End;
  to: End;
  scale: Scale;
  toChart: (e: { clientX: number; clientY: number }) => [number, number];
}

/** The two control points of the chosen segment's easing curve, in the chart itself. */
export function BendHandles({ item, channel, index, from, to, scale, toChart }: Props) {
  const curved = from.key.numbers.length === 0 && from.key.easing !== 'hold';
  if (!curved || from.key.value === to.key.value) return null;
  const curve = from.key.curve;
  const [x0, y0, x1, y1] = [
    scale.x(from.x),
    scale.y(from.key.time),
    scale.x(to.x),
    scale.y(to.key.time),
  ];
  const handles = [0, 1].map((i) => {
    // The curve's input is time, down; its output is the value, across.
    const [input, output] = [curve[i * 2]!, curve[i * 2 + 1]!];
    return { i, x: x0 + (x1 - x0) * output, y: y0 + (y1 - y0) * input };
  });
  const pull = (i: number) => (e: React.PointerEvent) =>
    drag(e, toChart, (px, py) => {
      const easing: typeof curve = [...curve];
      easing[i * 2] = Math.min(Math.max((py - y0) / (y1 - y0), 0), 1);
      easing[i * 2 + 1] = (px - x0) / (x1 - x0);
      previewKeys({ op: 'ease', item, channel, index, easing }, 'bend');
    });
  return (
    <g>
      {handles.map(({ i, x, y }) => (
        <g key={i}>
          <line
            x1={i === 0 ? x0 : x1}
            y1={i === 0 ? y0 : y1}
            x2={x}
            y2={y}
            className="stroke-ochre"
            strokeWidth={1.2}
          />
          <g className="cursor-grab" onPointerDown={pull(i)} data-testid={`bend-${i}`}>
            <title>Bend: drag to shape the easing</title>
            <circle cx={x} cy={y} r={11} fill="transparent" />
            <circle cx={x} cy={y} r={4.5} className="fill-sheet stroke-ochre" strokeWidth={2} />
          </g>
        </g>
      ))}
    </g>
  );
}
