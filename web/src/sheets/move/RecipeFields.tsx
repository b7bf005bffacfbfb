import type { Recipe } from '../../core/document';
import { Check } from '../../ui/Check';
import { Choice, Segments } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { TimeField } from '../../ui/TimeField';

interface Props {
  recipe: Recipe;
  /** Of a carousel: how often it turns in this scene, and how long a turn takes. */
  turns?: string;
  onChange: (params: Record<string, unknown>) => void;
}

/** The times and choices that a recipe is written from. */
export function RecipeFields({ recipe, turns, onChange }: Props) {
  const { kind, ...params } = recipe;
  const put = (parts: Record<string, unknown>) => onChange({ ...params, ...parts });
  const number = (name: string, missing: number) =>
    typeof params[name] === 'number' ? params[name] : missing;
  const flag = (name: string, missing: boolean) =>
    typeof params[name] === 'boolean' ? params[name] : missing;
  const word = (name: string, missing: string) =>
    typeof params[name] === 'string' ? params[name] : missing;
  const seconds = (name: string, label: string, missing: number) => (
    <TimeField
      key={name}
      label={label}
      value={number(name, missing)}
      onChange={(v) => put({ [name]: v })}
    />
  );
  if (kind === 'enter-hold-leave') {
    const stays = word('leaves', 'onward') === 'stays';
    return (
      <>
        {seconds('start', 'Begins at', 0)}
        {seconds('enter', 'Enter takes', 1.2)}
        {!stays && seconds('hold', 'Holds for', 2.4)}
        {!stays && seconds('leave', 'Leaves in', 0.8)}
        <Choice
          label="Arrives at"
          value={word('arrives', 'at-rest')}
          options={[
            { value: 'at-rest', label: 'Its rest' },
            { value: 'centred', label: 'Mid-frame', detail: 'centred in the frame' },
          ]}
          onChange={(arrives) => put({ arrives })}
        />
        <Segments
          label="Then it"
          stacked
          value={word('leaves', 'onward')}
          options={[
            { value: 'onward', label: 'Goes on', detail: 'It leaves onward along the path' },
            { value: 'back', label: 'Goes back', detail: 'It leaves the way it came' },
            { value: 'stays', label: 'Stays', detail: 'It does not leave' },
          ]}
          onChange={(leaves) => put({ leaves })}
        />
      </>
    );
  }
  if (kind === 'endless-lap') {
    return (
      <>
        {seconds('start', 'Begins at', 0)}
        <NumberField
          label="Laps a loop"
          decimals={0}
          value={number('laps', 1)}
          onChange={(laps) => put({ laps: Math.round(laps) })}
        />
        <NumberField
          label="Shared by"
          decimals={0}
          value={number('parts', 1)}
          onChange={(parts) => put({ parts: Math.max(1, Math.round(parts)) })}
        />
        <p className="mb-1.5 text-[12px] text-soft">
          A phrase that stands n times round the path closes after 1/n of a lap: share it by n. A
          negative number goes the other way.
        </p>
        <Check label="Eased" value={flag('eased', false)} onChange={(eased) => put({ eased })} />
      </>
    );
  }
  if (kind === 'steady-cruise') {
    return (
      <>
        <Choice
          label="Counted in"
          value={word('pace', 'per-second')}
          options={[
            { value: 'per-second', label: 'px a second' },
            { value: 'laps', label: 'Laps a loop' },
            { value: 'letters', label: 'Letters a second' },
          ]}
          onChange={(pace) =>
            put({ pace, amount: pace === 'per-second' ? 200 : pace === 'laps' ? 1 : 4 })
          }
        />
        <NumberField
          label="Speed"
          value={number('amount', 200)}
          onChange={(amount) => put({ amount })}
        />
      </>
    );
  }
  if (kind === 'carousel') {
    return (
      <>
        {seconds('period', 'A turn takes', 2)}
        <Segments
          label="Front goes"
          value={flag('counter', false) ? 'right' : 'left'}
          options={[
            { value: 'left', label: 'Left', detail: 'The first letters lead' },
            { value: 'right', label: 'Right', detail: 'The last letters lead' },
          ]}
          onChange={(way) => put({ counter: way === 'right' })}
        />
        <p className="mb-1.5 text-[12px] text-soft">
          The scene holds whole turns, so that its loop closes{turns && `: ${turns}`}. How the ring
          lies is set in Dress.
        </p>
      </>
    );
  }
  if (kind === 'stand-up') {
    return (
      <>
        {seconds('start', 'Begins at', 0)}
        {seconds('enter', 'Stands after', 1.2)}
        <NumberField
          label="Laps then"
          decimals={0}
          value={number('laps', 1)}
          onChange={(laps) => put({ laps: Math.round(laps) })}
        />
        <p className="mb-1.5 text-[12px] text-soft">
          The ring tips back while its letters rise; then it turns, and rests at the end of the
          scene.
        </p>
      </>
    );
  }
  if (kind === 'sway') {
    return (
      <>
        <NumberField
          label="To each side"
          unit="px"
          value={number('amplitude', 60)}
          onChange={(amplitude) => put({ amplitude })}
        />
        {seconds('period', 'Once in', 2)}
        <Segments
          label="Like a"
          value={word('shape', 'sine')}
          options={[
            { value: 'sine', label: 'Wave' },
            { value: 'triangle', label: 'Zigzag' },
            { value: 'noise', label: 'Noise' },
          ]}
          onChange={(shape) => put({ shape })}
        />
      </>
    );
  }
  return (
    <>
      {seconds('start', 'Begins at', 0)}
      {seconds('enter', 'Appears in', 1.2)}
      {seconds('hold', 'Stays for', 1)}
      {seconds('leave', 'Goes in', 0)}
      {kind === 'letter-reveal' ? (
        <>
          <Segments
            label="By"
            value={word('by', 'letters')}
            options={[
              { value: 'letters', label: 'Letter' },
              { value: 'words', label: 'Word' },
              { value: 'distance', label: 'Length' },
            ]}
            onChange={(by) => put({ by })}
          />
          <NumberField
            label="Soft edge"
            unit="%"
            value={number('soft', 15)}
            onChange={(soft) => put({ soft })}
          />
          <Check label="Fade" value={flag('fade', true)} onChange={(fade) => put({ fade })} />
          <NumberField
            label="Rise"
            unit="px"
            value={number('rise', 0)}
            onChange={(rise) => put({ rise })}
          />
          <NumberField
            label="Turn"
            unit="°"
            value={number('turn', 0)}
            onChange={(turn) => put({ turn })}
          />
          <NumberField
            label="From size"
            unit="%"
            value={number('scale', 100)}
            onChange={(scale) => put({ scale })}
          />
        </>
      ) : (
        <>
          <NumberField
            label="From letter"
            decimals={0}
            value={number('letter', 0) + 1}
            onChange={(n) => put({ letter: Math.max(0, Math.round(n) - 1) })}
          />
          <Choice
            label="Goes"
            value={flag('counter', false) ? 'counter' : 'clock'}
            options={[
              { value: 'clock', label: 'Clockwise' },
              { value: 'counter', label: 'Counterclockwise' },
            ]}
            onChange={(way) => put({ counter: way === 'counter' })}
          />
          <NumberField
            label="Soft edge"
            unit="°"
            value={number('soft', 30)}
            onChange={(soft) => put({ soft })}
          />
        </>
      )}
    </>
  );
}
