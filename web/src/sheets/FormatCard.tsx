import { useState } from 'react';
import type { ExportFormat, ExportOption } from '../api/client';
import { useEditor } from '../state/editor';
import { useClock } from '../state/timeUnit';
import { Fold } from '../ui/Fold';
import { NumberField } from '../ui/NumberField';
import { useRestingTime } from '../state/restingTime';

interface Props {
  format: ExportFormat;
  disabled: boolean;
  onMake: (options: Record<string, number>) => void;
}

/** A kind of file: what it is good for, what can be chosen, and the button that makes it. */
export function FormatCard({ format, disabled, onMake }: Props) {
  const [chosen, setChosen] = useState<Record<string, number>>({});
  const options = format.options.filter((o) => !o.playhead);
  const aside = options
    .filter((o) => o.unit === '%' || chosen[o.name] !== undefined)
    .map((o) => words(o, chosen[o.name] ?? o.initial))
    .join(', ');
  const make = () => {
    const { time } = useEditor.getState();
    const all = format.options.map((o) => [
      o.name,
      chosen[o.name] ?? (o.playhead ? time : o.initial),
    ]);
    onMake(Object.fromEntries(all) as Record<string, number>);
  };
  return (
    <section className="rounded-lg border border-rule px-2.5 py-2" aria-label={format.label}>
      <div className="flex items-start gap-2">
        <h2 className="min-w-0 flex-1 pt-1 font-semibold">{format.label}</h2>
        <button
          type="button"
          className="btn shrink-0"
          disabled={disabled || format.unsupportedReason !== null}
          aria-label={`Make the ${format.noun}`}
          onClick={make}
        >
          Make
        </button>
      </div>
      <p className="mt-0.5 text-[12px] leading-snug text-soft">
        {format.use}
        {format.options.some((o) => o.playhead) && <AtPlayhead />}
      </p>
      {format.unsupportedReason && (
        <p className="mt-1 text-[12px] leading-snug text-vermilion">{format.unsupportedReason}</p>
      )}
      {format.note && !format.unsupportedReason && (
        <p className="mt-1 text-[12px] leading-snug text-ochre">{format.note}</p>
      )}
      {options.length > 0 && (
        <Fold title="Choices" aside={aside} plain>
          {options.map((o) => (
            <NumberField
              key={o.name}
              label={o.label}
              unit={o.unit}
              decimals={o.whole ? 0 : 1}
              value={chosen[o.name] ?? o.initial}
              onChange={(value) => choose(o, value)}
            />
          ))}
        </Fold>
      )}
    </section>
  );

  function choose(o: ExportOption, value: number) {
    const whole = o.whole ? Math.round(value) : value;
    if (whole < o.min || whole > o.max) {
      const reason = `is ${whole}, out of range`;
      return [{ path: `$.${o.label}`, reason, allowed: `${o.min} to ${o.max}` }];
    }
    setChosen((c) => ({ ...c, [o.name]: whole }));
  }
}

/** The frame that a still shows. */
function AtPlayhead() {
  const doc = useEditor((s) => s.doc);
  const told = useClock();
  const time = useRestingTime();
  return doc && <>; the frame at {told(time)}</>;
}

function words(o: ExportOption, value: number): string {
  return `${o.label.toLowerCase()} ${value}${o.unit === '%' ? ' %' : ''}`;
}
