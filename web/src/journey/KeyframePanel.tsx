import { Clipboard, ClipboardPaste, Copy, FlipVertical2, Repeat2, Trash2 } from 'lucide-react';
import { Fragment, useState } from 'react';
import * as core from '../core/core';
import { isColour, labelOf, outOfRange, unitOf, type KeyframeInfo } from '../core/core';
import { byNumbers } from '../core/document';
import type { Channel, Cue, Easing, LandingName } from '../core/document';
import { applyEdit, useEditor } from '../state/editor';
import { Choice } from '../ui/Choice';
import { NumberField } from '../ui/NumberField';
import { TimeField } from '../ui/TimeField';
import { hex } from '../ui/MovableColour';
import { ColourField } from '../ui/ColourField';
import { copyKeys, pasteKeys, removeKeys } from './keyMenu';
import { useCopied } from './view';
import { landings } from './words';

interface Props {
  item: string;
  channel: Channel;
}

const NONE: Cue[] = [];

/** The chosen keyframe by numbers, or what can be done with several. */
export function KeyframePanel(props: Props) {
  const { item, channel } = props;
  const index = useEditor((s) => s.keyframe);
  const chosen = useEditor((s) => s.keys);
  const keys = useEditor((s) => s.summary?.items[item]?.channels[channel]);
  const moves = useEditor((s) => s.summary?.items[item]?.moving.includes(channel));
  const key = index === null ? undefined : keys?.[index];
  return (
    <section
      tabIndex={0}
      // As high with numbers as without, so that the chart stays where it is under the pointer.
      className={`shrink-0 overflow-y-auto border-t border-rule px-3.5 pt-2.5 pb-2 ${keys ? 'h-[32%]' : ''}`}
      aria-label="The chosen keyframe"
    >
      {chosen.length > 1 && keys ? (
        <Several {...props} keys={keys} chosen={chosen} />
      ) : key && index !== null ? (
        <One {...props} info={key} index={index} count={keys?.length ?? 0} />
      ) : (
        <Hints keyed={keys !== undefined} moves={moves ?? false} />
      )}
      <PasteButtons item={item} channel={channel} />
    </section>
  );
}

const GESTURES: [string, string][] = [
  ['Click a ring', 'its numbers, here'],
  ['Drag a ring', 'down its time, across its value'],
  ['Shift, or a box', 'several at once'],
  ['Double-click the line', 'another keyframe'],
  ['The word beside the line', 'how it goes from one to the next'],
];

/** What can be done in the chart, or why there is nothing to be done. */
function Hints({ keyed, moves }: { keyed: boolean; moves: boolean }) {
  if (!keyed) {
    return (
      <p className="text-[12px] text-soft">
        {moves
          ? 'It moves by itself, without keyframes; what moves it is set in Move.'
          : 'Values that move are charted; choose another one above.'}
      </p>
    );
  }
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1.5 text-[12px]">
      {GESTURES.map(([what, then]) => (
        <Fragment key={what}>
          <dt>{what}</dt>
          <dd className="text-soft">{then}</dd>
        </Fragment>
      ))}
    </dl>
  );
}

function PasteButtons({ item, channel }: { item: string; channel: Channel }) {
  const keys = useCopied((s) => s.keys);
  if (keys.length === 0) return null;
  return (
    <div className="mt-1.5 flex gap-1.5">
      <button
        type="button"
        className="btn flex-1 px-1"
        title="Set the copied keyframes from the playhead on, with their own values"
        onClick={() => pasteKeys(item, channel, false)}
      >
        <Clipboard className="size-4" /> Paste as is
      </button>
      <button
        type="button"
        className="btn flex-1 px-1"
        title="Continue from the value at the playhead with the copied movement"
        onClick={() => pasteKeys(item, channel, true)}
      >
        <ClipboardPaste className="size-4" /> Paste onward
      </button>
    </div>
  );
}

interface OneProps extends Props {
  info: KeyframeInfo;
  index: number;
  count: number;
}

function One({ item, channel, info, index, count }: OneProps) {
  const cues = useEditor((s) => s.doc?.cues) ?? NONE;
  const inDepth = useEditor((s) => s.doc?.items.some((i) => i.plane !== undefined)) ?? false;
  const [hold, setHold] = useState(1);
  const at = { item, channel, index };
  const move = (to: { time: number; value?: number }) => applyEdit({ op: 'move', ...at, ...to });
  const land = (landing: LandingName | undefined, numbers: { laps?: number; distance?: number }) =>
    applyEdit({
      op: 'land',
      ...at,
      landing,
      laps: numbers.laps ?? info.laps ?? 1,
      distance: numbers.distance ?? info.distance ?? 0,
    });
  return (
    <>
      <div className="mb-1.5 flex items-center gap-1.5">
        <h2 className="mr-auto font-semibold">
          Keyframe {index + 1} of {count}
        </h2>
        <button type="button" className="btn" onClick={() => copyKeys(item, channel, [index])}>
          <Copy className="size-4" /> Copy
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => {
            applyEdit({ op: 'remove', ...at });
            useEditor.setState({ keyframe: null, keys: [] });
          }}
        >
          <Trash2 className="size-4" /> Delete
        </button>
      </div>
      <TimeField label="Time" decimals={3} value={info.time} onChange={(time) => move({ time })} />
      {isColour(channel) ? (
        <ColourField
          label={labelOf(channel)}
          value={hex(info.value)}
          onChange={(v) => move({ time: info.time, value: parseInt(v.slice(1), 16) })}
        />
      ) : (
        <NumberField
          label={labelOf(channel)}
          unit={unitOf(channel)}
          decimals={2}
          value={info.value}
          onChange={(value) => {
            const wrong = outOfRange(channel, value);
            return wrong.length > 0 ? wrong : move({ time: info.time, value });
          }}
        />
      )}
      {core.isAlongPath(channel) && (
        <Choice
          label="Lands"
          value={info.landing ?? 'none'}
          options={landings(inDepth, info.landing)}
          onChange={(landing: LandingName | 'none') =>
            land(landing === 'none' ? undefined : landing, {})
          }
        />
      )}
      {info.landing === 'whole-laps' && (
        <NumberField
          label="Laps"
          decimals={3}
          value={info.laps ?? 1}
          onChange={(laps) => land('whole-laps', { laps })}
        />
      )}
      {(info.landing === 'inside-before' || info.landing === 'inside-after') && (
        <NumberField
          label="From the edge"
          unit="px"
          decimals={1}
          value={info.distance ?? 0}
          onChange={(distance) => land(info.landing, { distance })}
        />
      )}
      <EasingNumbers info={info} onChange={(easing) => applyEdit({ op: 'ease', ...at, easing })} />
      {!isColour(channel) && <Speeds item={item} channel={channel} index={index} />}
      {cues.length > 0 && (
        <Choice
          label="At the cue"
          value={info.cue ?? ''}
          options={[
            { value: '', label: 'None' },
            ...cues.map((c) => ({ value: c.id, label: c.name })),
          ]}
          onChange={(cue) => applyEdit({ op: 'follows', ...at, cue })}
        />
      )}
      <TimeField label="Hold it for" value={hold} onChange={setHold}>
        <button
          type="button"
          className="btn px-2"
          title="Set it again after that time; what comes later comes so much later"
          onClick={() =>
            applyEdit({ op: 'holdKey', item, channel, indexes: [index], seconds: hold })
          }
        >
          Hold
        </button>
      </TimeField>
    </>
  );
}

/** How fast the value arrives here and leaves again, where a curve says it. */
function Speeds({ item, channel, index }: { item: string; channel: Channel; index: number }) {
  useEditor((s) => s.summary);
  const arriving = core.endSpeeds(item, channel, index - 1)[1];
  const leaving = core.endSpeeds(item, channel, index)[0];
  const field = (label: string, value: number | undefined, from: number, arrives: boolean) =>
    value !== undefined && (
      <NumberField
        label={label}
        unit={`${unitOf(channel)}/s`}
        decimals={1}
        value={value}
        onChange={(v) =>
          applyEdit({ op: 'speed', item, channel, index: from, arriving: arrives, value: v }, label)
        }
      />
    );
  return (
    <>
      {field('Arrives at', arriving, index - 1, true)}
      {field('Leaves at', leaving, index, false)}
    </>
  );
}

const NUMBERS: Record<string, string[]> = {
  spring: ['Stiffness', 'Damping', 'Mass'],
  bounce: ['Bounces'],
  steps: ['Steps'],
};

function EasingNumbers({ info, onChange }: { info: KeyframeInfo; onChange: (e: Easing) => void }) {
  const names = NUMBERS[info.easing];
  return names?.map((name, i) => (
    <NumberField
      key={name}
      label={name}
      decimals={2}
      value={info.numbers[i] ?? 1}
      onChange={(v) =>
        onChange(
          byNumbers(
            info.easing,
            info.numbers.map((n, k) => (k === i ? Math.max(v, 0.001) : n)),
          ),
        )
      }
    />
  ));
}

interface SeveralProps extends Props {
  keys: KeyframeInfo[];
  chosen: number[];
}

function Several({ item, channel, keys, chosen }: SeveralProps) {
  const [stretch, setStretch] = useState(150);
  const [by, setBy] = useState(0.5);
  const indexes = chosen.filter((i) => keys[i]);
  const first = keys[indexes[0] ?? 0]?.time ?? 0;
  const at = { item, channel, indexes };
  return (
    <div data-testid="several-keys">
      <h2 className="mb-1.5 font-semibold">{indexes.length} keyframes chosen</h2>
      <div className="mb-1.5 grid grid-cols-2 gap-1.5">
        <button type="button" className="btn" onClick={() => copyKeys(item, channel, indexes)}>
          <Copy className="size-4" /> Copy
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => applyEdit({ op: 'mirrorKeys', ...at })}
        >
          <FlipVertical2 className="size-4" /> Mirror in time
        </button>
        <button
          type="button"
          className="btn"
          disabled={indexes.length !== 2}
          onClick={() => applyEdit({ op: 'swapKeys', ...at })}
        >
          <Repeat2 className="size-4" /> Swap values
        </button>
        <button type="button" className="btn" onClick={() => removeKeys(item, channel, indexes)}>
          <Trash2 className="size-4" /> Delete
        </button>
      </div>
      <NumberField label="Stretch to" unit="%" value={stretch} onChange={setStretch}>
        <button
          type="button"
          className="btn px-2"
          onClick={() =>
            applyEdit({ op: 'stretchKeys', ...at, about: first, factor: stretch / 100 })
          }
        >
          Stretch
        </button>
      </NumberField>
      <TimeField label="Move by" value={by} onChange={setBy}>
        <button
          type="button"
          className="btn px-2"
          onClick={() => applyEdit({ op: 'moveKeys', ...at, by })}
        >
          Move
        </button>
      </TimeField>
    </div>
  );
}
