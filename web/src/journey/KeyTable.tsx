import { readTime } from '../stage/time';
import { useFps, useTimeUnit } from '../state/timeUnit';
import { shown } from '../ui/arithmetic';
import { Trash2 } from 'lucide-react';
import { isColour, labelOf, unitOf } from '../core/core';
import type { KeyframeInfo } from '../core/core';
import type { Channel, EasingName } from '../core/document';
import { applyEdit, setTime, useEditor } from '../state/editor';
import { notify } from '../state/notices';
import { hex } from '../ui/MovableColour';
import { IconButton } from '../ui/IconButton';
import { EASINGS, LANDINGS } from './words';

/** All keyframes of an item with their exact numbers, for those who would rather not drag. */
export function KeyTable({ item }: { item: string }) {
  const inFrames = useTimeUnit((s) => s.frames);
  const channels = useEditor((s) => s.summary?.items[item]?.channels);
  const rows = Object.entries(channels ?? {}).flatMap(([c, keys]) =>
    (keys ?? []).map((k, i) => ({ channel: c, info: k, index: i })),
  );
  if (rows.length === 0) return <p className="px-3.5 text-soft">There are no keyframes yet.</p>;
  return (
    <div className="min-h-0 flex-1 overflow-auto px-3.5" data-testid="key-table">
      <table className="w-full text-left text-[12px]">
        <thead className="sticky top-0 bg-sheet text-soft">
          <tr>
            <th className="py-1 font-medium">Value</th>
            <th className="font-medium">Time, {inFrames ? 'f' : 's'}</th>
            <th className="font-medium">Is</th>
            <th className="font-medium">Easing</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <Cells
              key={`${r.channel}.${r.index}`}
              item={item}
              channel={r.channel}
              index={r.index}
              info={r.info}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Cells(props: { item: string; channel: Channel; index: number; info: KeyframeInfo }) {
  const { item, channel, index, info } = props;
  const fps = useFps();
  const inFrames = useTimeUnit((s) => s.frames);
  const at = { item, channel, index };
  const colour = isColour(channel);
  const before = shown(info.time * (inFrames ? fps : 1), 3);
  const text = colour ? hex(info.value) : String(Number(info.value.toFixed(3)));
  const put = (time: string, value: string) => {
    const when = readTime(time, fps, inFrames);
    const v = colour ? parseInt(value.replace('#', ''), 16) : Number(value);
    const same = value === text;
    if (typeof when === 'string') {
      notify(when, 'error');
      return false;
    }
    if (!Number.isFinite(v)) {
      notify(`“${value}” is not a number here; the old one stands.`, 'error');
      return false;
    }
    const { doc } = useEditor.getState();
    applyEdit({
      op: 'move',
      ...at,
      time: time === before ? info.time : when,
      ...(same ? {} : { value: v }),
    });
    return useEditor.getState().doc !== doc;
  };
  /** A refused entry goes back to what stands. */
  const commit = (e: React.FocusEvent<HTMLInputElement>, was: string, done: () => boolean) => {
    if (e.target.value !== was && !done()) e.target.value = was;
  };
  const landing = LANDINGS.find((l) => l.value === info.landing)?.label;
  const name = `${labelOf(channel)} ${index + 1}`;
  return (
    <tr className="border-t border-rule">
      <th scope="row" className="py-1 pr-1 font-normal">
        <button
          type="button"
          className="text-left text-teal underline"
          onClick={() => setTime(info.time)}
        >
          {labelOf(channel)}
        </button>
      </th>
      <td className="pr-1">
        <input
          key={before}
          className="field h-6 w-14 px-1"
          aria-label={`${name}: time in ${inFrames ? 'frames' : 'seconds'}`}
          defaultValue={before}
          onBlur={(e) => commit(e, before, () => put(e.target.value, text))}
          onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        />
      </td>
      <td className="pr-1">
        <input
          key={text}
          className="field h-6 w-17 px-1"
          aria-label={`${name}: value in ${unitOf(channel) || 'its unit'}`}
          title={landing}
          defaultValue={text}
          onBlur={(e) => commit(e, text, () => put(before, e.target.value))}
          onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
        />
      </td>
      <td className="pr-1">
        <select
          className="field h-6 w-full px-0.5"
          aria-label={`${name}: easing`}
          value={info.easing}
          onChange={(e) => applyEdit({ op: 'ease', ...at, easing: e.target.value as EasingName })}
        >
          {EASINGS.map((o) => (
            <option key={o.value} value={o.value}>
              {o.label}
            </option>
          ))}
        </select>
      </td>
      <td>
        <IconButton label={`Delete ${name}`} onClick={() => applyEdit({ op: 'remove', ...at })}>
          <Trash2 className="size-3.5" />
        </IconButton>
      </td>
    </tr>
  );
}
