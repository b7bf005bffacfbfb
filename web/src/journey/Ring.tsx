import type { KeyframeInfo } from '../core/core';
import { onFrame } from '../core/core';
import { applyEdit, useEditor } from '../state/editor';
import { drag } from '../stage/drag';
import type { PartProps } from './Chart';
import { landingLabel } from './words';

interface RingProps extends PartProps {
  index: number;
  info: KeyframeInfo;
  x: number;
}

/** A keyframe: drag down or up for its time, across for its value. */
export function Ring({ item, channel, index, info, x, scale, toChart }: RingProps) {
  const chosen = useEditor((s) => s.keyframe === index);
  const late = useEditor((s) => info.time > (s.doc?.length ?? 0) + 1e-6);
  const [cx, cy] = [scale.x(x), scale.y(info.time)];
  const label = landingLabel(info);
  const right = cx < (scale.left + scale.right) / 2;

  const pull = (e: React.PointerEvent) => {
    useEditor.setState({ keyframe: index });
    const [startX, startY] = toChart(e);
    let at = index;
    let torn = info.landing === undefined;
    drag(e, toChart, (px, py, event) => {
      const { summary } = useEditor.getState();
      const key = summary?.items[item]?.channels[channel]?.[at];
      if (!key) return;
      const time = snapped(scale.time(cy + py - startY), event.ctrlKey);
      // A landing is torn from its goal only by a drag that clearly goes across.
      torn ||= Math.abs(px - startX) > 14;
      const across = torn && Math.abs(px - startX) > 3;
      const value = info.value + scale.value(cx + px - startX) - scale.value(cx);
      applyEdit(
        { op: 'move', item, channel, index: at, time, ...(across ? { value } : {}) },
        'ring',
      );
      const keys = useEditor.getState().summary?.items[item]?.channels[channel] ?? [];
      const { doc } = useEditor.getState();
      const there = keys.findIndex((k) => doc && Math.abs(k.time - onFrame(time)) < 1e-4);
      if (there >= 0) at = there;
      useEditor.setState({ keyframe: at });
    });
  };

  return (
    <g
      className="cursor-grab"
      onPointerDown={pull}
      onDoubleClick={(e) => e.stopPropagation()}
      opacity={late ? 0.5 : 1}
    >
      <title>{`${label || 'Keyframe'} at ${info.time.toFixed(2)} s: drag down or up for its time, across for its value`}</title>
      {chosen && <circle cx={cx} cy={cy} r={10.5} className="fill-wash" />}
      <circle cx={cx} cy={cy} r={6.5} className="fill-sheet stroke-teal" strokeWidth={3} />
      {info.landing && <circle cx={cx} cy={cy} r={2.2} className="fill-teal" />}
      <circle cx={cx} cy={cy} r={13} fill="transparent" data-testid={`ring-${index}`} />
      {label && (
        <text
          x={cx + (right ? 13 : -13)}
          y={cy + 4}
          textAnchor={right ? 'start' : 'end'}
          className="halo pointer-events-none fill-ink text-[11px]"
        >
          {label}
        </text>
      )}
    </g>
  );
}

/** Onto the nearest tenth of a second within a few pixels, unless Ctrl is held; else onto frames. */
function snapped(time: number, free: boolean): number {
  const tenth = Math.round(time * 10) / 10;
  return !free && Math.abs(tenth - time) < 0.02 ? tenth : time;
}
