import { useTimeWords } from '../state/timeUnit';
import type { KeyframeInfo } from '../core/core';
import { onFrame } from '../core/core';
import { framesPerSecond } from '../core/core';
import { applyEdit, previewKeys, useEditor } from '../state/editor';
import { notify } from '../state/notices';
import { drag } from '../stage/drag';
import type { PartProps } from './Chart';
import { openKeyMenu } from './keyMenu';
import type { RingLabel } from './labels';
import { landingLabel } from './words';

interface RingProps extends PartProps {
  index: number;
  info: KeyframeInfo;
  x: number;
  /** What stands beside it, where there is room. */
  label: RingLabel | null;
}

/** A keyframe: drag down or up for its time, across for its value; arrow keys do the same. */
export function Ring(props: RingProps) {
  const { item, channel, index, info, x, label: beside, scale, toChart } = props;
  const words = useTimeWords();
  const chosen = useEditor((s) => s.keyframe === index || s.keys.includes(index));
  const late = useEditor((s) => info.time > (s.doc?.length ?? 0) + 1e-6);
  const [cx, cy] = [scale.x(x), scale.y(info.time)];
  const label = landingLabel(info);
  const keysNow = () => useEditor.getState().summary?.items[item]?.channels[channel] ?? [];

  const pull = (e: React.PointerEvent) => {
    const { keys } = useEditor.getState();
    if (e.shiftKey) {
      e.stopPropagation();
      const without = keys.filter((k) => k !== index);
      const next = without.length < keys.length ? without : [...keys, index].sort((a, b) => a - b);
      useEditor.setState({ keys: next, keyframe: next.length === 1 ? next[0]! : null });
      return;
    }
    if (keys.length > 1 && keys.includes(index)) {
      pullAll(e, keys);
      return;
    }
    useEditor.setState({ keyframe: index, keys: [index] });
    const [startX, startY] = toChart(e);
    let at = index;
    let { doc: known } = useEditor.getState();
    // The edit names the keyframe by its place in the document, which is made only when it rests.
    let kept = index;
    let torn = info.landing === undefined;
    drag(e, toChart, (px, py, event) => {
      const { doc } = useEditor.getState();
      if (doc !== known) [known, kept] = [doc, at];
      if (!keysNow()[at]) return;
      const time = snapped(scale.time(cy + py - startY), item, channel, at, event.ctrlKey);
      // A landing is torn from its goal only by a drag that clearly goes across.
      torn ||= Math.abs(px - startX) > 14;
      const across = torn && Math.abs(px - startX) > 3;
      const value = info.value + scale.value(cx + px - startX) - scale.value(cx);
      previewKeys(
        { op: 'move', item, channel, index: kept, time, ...(across ? { value } : {}) },
        'ring',
      );
      const there = keysNow().findIndex((k) => Math.abs(k.time - onFrame(time)) < 1e-4);
      if (there >= 0 && there !== at) {
        notify(`Keyframe ${index + 1} went past its neighbour: it is number ${there + 1} now.`);
        at = there;
      }
      useEditor.setState({ keyframe: at, keys: [at] });
    });
  };

  /** All chosen keyframes together. */
  const pullAll = (e: React.PointerEvent, keys: number[]) => {
    const [startX, startY] = toChart(e);
    let lastValue = 0;
    let [fromTime, fromValue] = [info.time, 0];
    let { doc: known } = useEditor.getState();
    drag(e, toChart, (px, py, event) => {
      const { doc } = useEditor.getState();
      const key = keysNow()[index];
      if (!key) return;
      // What was made while the pointer rested is not to be done again.
      if (doc !== known) [known, fromTime, fromValue] = [doc, key.time, lastValue];
      const time = onFrame(
        snapped(scale.time(cy + py - startY), item, channel, index, event.ctrlKey),
      );
      const across = Math.abs(px - startX) > 3;
      const value = across ? scale.value(cx + px - startX) - scale.value(cx) : lastValue;
      previewKeys(
        {
          op: 'moveKeys',
          item,
          channel,
          indexes: keys,
          by: time - fromTime,
          value: value - fromValue,
        },
        'rings',
      );
      lastValue = value;
    });
  };

  const press = (e: React.KeyboardEvent) => {
    const { doc } = useEditor.getState();
    const frame = 1 / framesPerSecond(doc?.rate ?? '25');
    const by = e.shiftKey ? 10 : 1;
    const step = {
      ArrowUp: [-frame, 0],
      ArrowDown: [frame, 0],
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
    }[e.key];
    if (step) {
      const [dt = 0, dv = 0] = step;
      const time = info.time + dt * by;
      const value = info.value + dv * by;
      applyEdit({ op: 'move', item, channel, index, time, ...(dv ? { value } : {}) }, 'ring-key');
      const there = keysNow().findIndex((k) => Math.abs(k.time - time) < frame / 2);
      if (there >= 0) useEditor.setState({ keyframe: there, keys: [there] });
    } else if (e.key === 'Enter' || e.key === ' ') {
      useEditor.setState({ keyframe: index, keys: [index] });
    } else return;
    e.preventDefault();
    e.stopPropagation();
  };

  if (cy < -20 || cy > scale.height + 20) return null;
  return (
    <g
      className="cursor-grab [&:focus-visible>circle:first-of-type]:stroke-ink"
      onPointerDown={pull}
      onDoubleClick={(e) => e.stopPropagation()}
      onKeyDown={press}
      onContextMenu={(e) => openKeyMenu(e, item, channel, index)}
      tabIndex={0}
      role="button"
      aria-label={`${label || 'Keyframe'} ${index + 1} at ${words(info.time)}, value ${info.value.toFixed(1)}; arrow keys move it`}
      opacity={late ? 0.5 : 1}
    >
      <title>{`${label || 'Keyframe'} at ${words(info.time)}, ${info.value.toFixed(1)}: drag down or up for its time, across for its value; Shift chooses several`}</title>
      <circle
        cx={cx}
        cy={cy}
        r={10.5}
        className={chosen ? 'fill-wash' : 'fill-transparent'}
        strokeWidth={1.5}
      />
      <circle cx={cx} cy={cy} r={6.5} className="fill-sheet stroke-teal" strokeWidth={3} />
      {info.landing && <circle cx={cx} cy={cy} r={2.2} className="fill-teal" />}
      {info.cue && (
        <path d={`M${cx - 3} ${cy}H${cx + 3}`} className="stroke-ochre" strokeWidth={2} />
      )}
      <circle
        cx={cx}
        cy={cy}
        r={13}
        fill="transparent"
        className="grip"
        data-testid={`ring-${index}`}
      />
      {beside && (
        <text
          x={beside.x}
          y={cy + 4}
          textAnchor={beside.toLeft ? 'end' : 'start'}
          className="halo pointer-events-none fill-ink text-[11px]"
        >
          {beside.text}
        </text>
      )}
    </g>
  );
}

/** Onto a cue, another value's keyframe or a tenth of a second nearby, unless Ctrl is held. */
function snapped(
  time: number,
  item: string,
  channel: string,
  index: number,
  free: boolean,
): number {
  if (free) return time;
  const { doc, summary } = useEditor.getState();
  const others = Object.entries(summary?.items[item]?.channels ?? {}).flatMap(([c, keys]) =>
    c === channel ? [] : (keys ?? []).map((k) => k.time),
  );
  const own = (summary?.items[item]?.channels[channel] ?? []).map((k) => k.time);
  const marks = [...(doc?.cues ?? []).map((c) => c.time), ...others].filter(
    (t) => !own.some((o, i) => i !== index && Math.abs(o - t) < 1e-4),
  );
  const near = marks
    .filter((t) => Math.abs(t - time) < 0.06)
    .sort((a, b) => Math.abs(a - time) - Math.abs(b - time))[0];
  if (near !== undefined) return near;
  const tenth = Math.round(time * 10) / 10;
  return Math.abs(tenth - time) < 0.02 ? tenth : time;
}
