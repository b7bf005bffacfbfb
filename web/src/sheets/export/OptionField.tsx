import type { ExportOption, NumberOption } from '../../api/client';
import { Choice, Segments } from '../../ui/Choice';
import { ColourField } from '../../ui/ColourField';
import { NumberField } from '../../ui/NumberField';

interface Props {
  option: ExportOption;
  /** What is chosen, or holds by itself; undefined where neither is so. */
  value: number | string | undefined;
  onChange: (value: number | string) => void;
}

/** A field for what can be chosen for a file. */
export function OptionField({ option: o, value, onChange }: Props) {
  if (o.kind === 'colour')
    return <ColourField label={o.label} value={String(value ?? '#FFFFFF')} onChange={onChange} />;
  if (o.kind === 'choice') {
    // Side by side only where no word would be cut.
    const short = o.choices.map((c) => c.label).join('').length < 10;
    const List = short ? Segments : Choice;
    return <List label={o.label} value={String(value)} options={o.choices} onChange={onChange} />;
  }
  return (
    <>
      <NumberField
        label={o.label}
        unit={o.unit.length < 3 ? o.unit : ''}
        decimals={o.whole ? 0 : 1}
        value={Number(value)}
        onChange={(n) => {
          const whole = o.whole ? Math.round(n) : n;
          if (whole >= o.min && whole <= o.max) return onChange(whole);
          return outOfRange(o, whole);
        }}
      />
      {o.unit.length >= 3 && <p className="-mt-1 mb-1.5 ml-25 text-[12px] text-soft">{o.unit}</p>}
      {o.name === 'size' && <Sizes now={Number(value)} onChange={onChange} />}
    </>
  );
}

function outOfRange(o: NumberOption, value: number) {
  return [
    {
      path: `$.${o.label}`,
      reason: `is ${value}, out of range`,
      allowed: `${o.min} to ${o.max}`,
    },
  ];
}

const SIZES: [number, string][] = [
  [50, 'Half'],
  [100, '1×'],
  [200, '2×'],
  [300, '3×'],
];

/** The sizes that are asked for most. */
function Sizes({ now, onChange }: { now: number; onChange: (value: number) => void }) {
  return (
    <div className="mb-2 ml-25 flex gap-0.5">
      {SIZES.map(([size, word]) => (
        <button
          key={size}
          type="button"
          aria-pressed={now === size}
          className={`min-w-0 flex-1 rounded-md border text-[12px] ${
            now === size ? 'border-teal text-teal' : 'border-rule text-soft hover:text-ink'
          }`}
          onClick={() => onChange(size)}
        >
          {word}
        </button>
      ))}
    </div>
  );
}
