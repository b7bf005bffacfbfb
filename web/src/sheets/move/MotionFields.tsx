import { useMemo } from 'react';
import * as core from '../../core/core';
import type { Problem } from '../../core/core';
import { plainStagger, plainSway } from '../../core/document';
import type { Channel, Follow, Lettering, Stagger, Sway } from '../../core/document';
import { applyEdit, useEditor } from '../../state/editor';
import { letteringsOf, nameOf } from '../../state/items';
import { Check } from '../../ui/Check';
import { Choice, Segments } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { NumberField } from '../../ui/NumberField';
import { TimeField } from '../../ui/TimeField';

const PACES: { value: 'per-second' | 'laps' | 'letters'; label: string }[] = [
  { value: 'per-second', label: 'Px per second' },
  { value: 'laps', label: 'Laps per loop of the scene' },
];
const LETTERS = { value: 'letters' as const, label: 'Letters per second' };

/** What moves the charted value beside its keyframes: cruise, sway, lag from letter to letter. */
export function MotionFields(props: {
  item: string;
  channel: Channel;
  lettering: Lettering | undefined;
}) {
  const { item, channel: charted, lettering } = props;
  const shown = useEditor((s) => s.opened);
  const m = useMemo(
    () => (shown > 0 ? core.motionOf(item, charted) : undefined),
    [item, charted, shown],
  );
  const put = (part: string, value: object | null) =>
    applyEdit(
      { op: 'motion', item, channel: charted, [part]: value },
      `${item}.${charted}.${part}`,
    );
  const unit = core.unitOf(charted);
  if (core.isColour(charted) && !(lettering && core.mayLag(charted))) return null;
  const used = [m?.cruise, m?.sway, m?.stagger, m?.follow].filter(Boolean).length;
  return (
    <Fold title={`${core.labelOf(charted)} by itself`} aside={used || ''} open={used > 0}>
      {!core.isColour(charted) && (
        <>
          <Check
            label="Cruise"
            detail="Constant motion without keyframes"
            value={m?.cruise !== undefined}
            onChange={(on) => put('cruise', on ? { pace: 'per-second', amount: 100 } : null)}
          />
          {m?.cruise && core.isAlongPath(charted) && (
            <Choice
              label="Counted in"
              value={m.cruise.pace ?? 'per-second'}
              options={charted === 'pathOffset' ? [...PACES, LETTERS] : PACES}
              onChange={(pace) => put('cruise', { pace, amount: pace === 'laps' ? 1 : 100 })}
            />
          )}
          {m?.cruise && (
            <NumberField
              label="Speed"
              unit={
                m.cruise.pace === 'laps' ? 'laps' : m.cruise.pace === 'letters' ? '' : `${unit}/s`
              }
              decimals={2}
              value={m.cruise.amount}
              onChange={(amount) => put('cruise', { ...m.cruise, amount })}
            />
          )}
          <Check
            label="Sway"
            detail="Back and forth without keyframes"
            value={m?.sway !== undefined}
            onChange={(on) => put('sway', on ? { ...plainSway, amplitude: 20, period: 2 } : null)}
          />
          {m?.sway && <SwayFields sway={m.sway} unit={unit} onChange={(s) => put('sway', s)} />}
        </>
      )}
      {lettering && core.mayLag(charted) && (
        <>
          <Check
            label="Letter by letter"
            detail="Each letter lags behind the one before"
            value={m?.stagger !== undefined}
            onChange={(on) => put('stagger', on ? plainStagger : null)}
          />
          {m?.stagger && <StaggerFields stagger={m.stagger} onChange={(s) => put('stagger', s)} />}
        </>
      )}
      {lettering && core.mayFollow(charted) && (
        <FollowFields lettering={lettering} channel={charted} follow={m?.follow} put={put} />
      )}
    </Fold>
  );
}

interface SwayProps {
  sway: Sway;
  unit: string;
  onChange: (sway: Sway) => void;
}

function SwayFields({ sway, unit, onChange }: SwayProps) {
  return (
    <>
      <NumberField
        label="To each side"
        unit={unit}
        value={sway.amplitude}
        onChange={(amplitude) => onChange({ ...sway, amplitude })}
      />
      <TimeField
        label="Once in"
        value={sway.period}
        onChange={(period) => onChange({ ...sway, period })}
      />
      <NumberField
        label="Phase"
        unit="°"
        value={sway.phase}
        onChange={(phase) => onChange({ ...sway, phase })}
      />
      <Segments
        label="Like a"
        value={sway.shape}
        options={[
          { value: 'sine', label: 'Wave' },
          { value: 'triangle', label: 'Zigzag' },
          { value: 'noise', label: 'Noise' },
        ]}
        onChange={(shape) => onChange({ ...sway, shape })}
      />
      <Check
        label="Loops with the scene"
        detail="The period nearest to it of which a whole number fits into the scene"
        value={sway.loops ?? false}
        onChange={(loops) => onChange({ ...sway, loops })}
      />
    </>
  );
}

function StaggerFields(props: { stagger: Stagger; onChange: (stagger: Stagger) => void }) {
  const { stagger, onChange } = props;
  const rate = useEditor((s) => s.doc?.rate ?? '25');
  const [n = '25', d = '1'] = rate.split('/');
  const frame = Number(d) / Number(n);
  return (
    <>
      <TimeField
        label="Lag"
        decimals={3}
        step={0.01}
        value={stagger.delay}
        onChange={(delay) => onChange({ ...stagger, delay })}
      />
      <NumberField
        label="In frames"
        decimals={2}
        value={stagger.delay / frame}
        onChange={(frames) => onChange({ ...stagger, delay: frames * frame })}
      />
      <Choice
        label="Order"
        value={stagger.order}
        options={[
          { value: 'forward', label: 'From the first letter' },
          { value: 'backward', label: 'From the last letter' },
          { value: 'middle', label: 'From the middle' },
          { value: 'random', label: 'At random' },
        ]}
        onChange={(order) => onChange({ ...stagger, order })}
      />
      {stagger.order === 'random' && (
        <NumberField
          label="Seed"
          decimals={0}
          value={stagger.seed}
          onChange={(seed) => onChange({ ...stagger, seed: Math.max(0, Math.round(seed)) })}
        />
      )}
    </>
  );
}

interface FollowProps {
  lettering: Lettering;
  channel: Channel;
  follow: Follow | undefined;
  put: (part: string, value: object | null) => Problem[];
}

function FollowFields({ lettering, channel, follow, put }: FollowProps) {
  const doc = useEditor((s) => s.doc);
  const others = letteringsOf(doc).filter((l) => l.id !== lettering.id);
  if (others.length === 0 && !follow) return null;
  return (
    <>
      <Choice
        label="Follows"
        value={follow?.lettering ?? ''}
        options={[
          { value: '', label: 'Nobody' },
          ...others.map((l) => ({ value: l.id, label: nameOf(doc, l.id) })),
        ]}
        onChange={(id) =>
          put('follow', id ? { factor: 1, delay: 0, offset: 0, ...follow, lettering: id } : null)
        }
      />
      {follow && (
        <>
          <TimeField
            label="Later by"
            value={follow.delay}
            onChange={(delay) => put('follow', { ...follow, delay })}
          />
          <NumberField
            label="Times"
            decimals={2}
            step={0.1}
            value={follow.factor}
            onChange={(factor) => put('follow', { ...follow, factor })}
          />
          <NumberField
            label="And"
            unit={core.unitOf(channel)}
            value={follow.offset}
            onChange={(offset) => put('follow', { ...follow, offset })}
          />
        </>
      )}
    </>
  );
}
