import { useQuery } from '@tanstack/react-query';
import { api, type ExportFormat } from '../../api/client';
import { choose, lacking, tick, useHandOff, useTryOut, usual } from '../../state/handOff';
import { useEditor } from '../../state/editor';
import { playedFrames } from '../../state/range';
import { useRestingTime } from '../../state/restingTime';
import { useClock } from '../../state/timeUnit';
import { Fold } from '../../ui/Fold';
import { OptionField } from './OptionField';
import { planWords } from './words';

/** After which an estimate that is missing is asked for again, ms. */
const AGAIN = 2000;

interface Props {
  format: ExportFormat;
  disabled: boolean;
  onMake: () => void;
}

/** A kind of file: what it is good for, what can be chosen, and the button that makes it. */
export function FormatRow({ format, disabled, onMake }: Props) {
  const own = useHandOff((s) => s.choices[format.id]);
  const ticked = useHandOff((s) => s.ticked.includes(format.id));
  const lacks = lacking(format, own);
  // What is said of a scene without background is asked here instead.
  const asks = format.options.some((o) => o.kind === 'colour');
  const options = format.options.filter((o) => o !== lacks && !(o.kind === 'number' && o.playhead));
  const chosen = options.filter((o) => own?.[o.name] !== undefined);
  return (
    <section
      className="border-t border-rule py-2 first:border-t-0 first:pt-0"
      aria-label={format.label}
    >
      <div className="flex items-start gap-2">
        <input
          type="checkbox"
          className="mt-1.5 size-4 shrink-0 accent-teal"
          checked={ticked}
          disabled={format.unsupportedReason !== null}
          aria-label={`${format.label}, together with others`}
          title="Make it together with others"
          onChange={(e) => tick(format.id, e.target.checked)}
        />
        <h3 className="min-w-0 flex-1 pt-1 font-semibold">{format.label}</h3>
        <button
          type="button"
          className="btn shrink-0"
          disabled={disabled || format.unsupportedReason !== null || lacks !== undefined}
          aria-label={`Make the ${format.noun}`}
          onClick={onMake}
        >
          Make
        </button>
      </div>
      <div className="pl-6">
        <p className="text-[12px] leading-snug text-soft">
          {format.use}
          {format.options.some((o) => o.kind === 'number' && o.playhead) && <AtPlayhead />}
        </p>
        {format.unsupportedReason && (
          <p className="mt-1 text-[12px] leading-snug text-vermilion">{format.unsupportedReason}</p>
        )}
        {format.note && !format.unsupportedReason && !asks && (
          <p className="mt-1 text-[12px] leading-snug text-ochre">{format.note}</p>
        )}
        {lacks && <Ground format={format.id} option={lacks.name} />}
        {options.length > 0 && (
          <Fold title="Choices" aside={chosen.map((o) => o.label.toLowerCase()).join(', ')} plain>
            <div className="-ml-6">
              <Options format={format} options={options} />
            </div>
          </Fold>
        )}
      </div>
    </section>
  );
}

/** What a file without transparency has behind a scene that has nothing there. */
function Ground({ format, option }: { format: string; option: string }) {
  const grounds: [string, string][] = [
    ['#FFFFFF', 'White'],
    ['#000000', 'Black'],
  ];
  return (
    <div className="mt-1 text-[12px] leading-snug text-ochre">
      This scene has no background, and this file no transparency. What is behind it?
      <div className="mt-1 flex gap-1.5">
        {grounds.map(([colour, word]) => (
          <button
            key={colour}
            type="button"
            className="btn"
            onClick={() => choose(format, option, colour)}
          >
            <span className="size-3 rounded-sm border border-rule" style={{ background: colour }} />
            {word}
          </button>
        ))}
        <label className="btn cursor-pointer">
          Other…
          <input
            type="color"
            className="sr-only"
            aria-label="Another colour behind it"
            onChange={(e) => choose(format, option, e.target.value.toUpperCase())}
          />
        </label>
      </div>
    </div>
  );
}

function Options({ format, options }: { format: ExportFormat; options: ExportFormat['options'] }) {
  const doc = useEditor((s) => s.doc);
  const frames = useEditor((s) => s.summary?.frames ?? 1);
  const range = useEditor((s) => s.range);
  const own = useHandOff((s) => s.choices[format.id]);
  if (!doc) return null;
  return (
    <>
      {options.map((o) => (
        <OptionField
          key={o.name}
          option={o}
          value={own?.[o.name] ?? usual(o, doc, frames)}
          onChange={(value) =>
            choose(format.id, o.name, value === usual(o, doc, frames) ? undefined : value)
          }
        />
      ))}
      {range && options.some((o) => o.name === 'from') && (
        <button
          type="button"
          className="btn mb-2 ml-25"
          onClick={() => {
            const [first, end] = playedFrames();
            choose(format.id, 'from', first);
            choose(format.id, 'to', end - 1);
          }}
        >
          The played range
        </button>
      )}
      {format.id === 'html' && (
        <button
          type="button"
          className="btn mb-2 ml-25"
          onClick={() => useTryOut.setState({ choices: own ?? {} })}
        >
          Try it, copy it…
        </button>
      )}
      <Expected format={format} />
    </>
  );
}

/** What the file would be, asked while its choices are in sight. */
function Expected({ format }: { format: ExportFormat }) {
  const scene = useEditor((s) => s.sceneId) ?? '';
  const opened = useEditor((s) => s.opened);
  const own = useHandOff((s) => s.choices[format.id]) ?? {};
  const plan = useQuery({
    queryKey: ['export-plan', scene, opened, format.id, own],
    queryFn: () => api.exportPlan(scene, format.id, own),
    retry: false,
    staleTime: Infinity,
    // A server that was busy had no time for an estimate; it is asked once or twice more.
    refetchInterval: ({ state }) =>
      state.data?.bytes === null && !state.data.unsupportedReason && state.dataUpdateCount < 3
        ? AGAIN
        : false,
  });
  const wrong = plan.data?.unsupportedReason ?? plan.error?.message;
  return (
    <div className="text-[12px] leading-snug" role="status">
      {wrong && wrong !== format.unsupportedReason && <p className="text-vermilion">{wrong}</p>}
      {plan.data?.note && plan.data.note !== format.note && (
        <p className="text-ochre">{plan.data.note}</p>
      )}
      {!wrong && (
        <p className="text-soft">
          {plan.data ? planWords(plan.data) : 'Making a few frames to measure …'}
        </p>
      )}
    </div>
  );
}

/** The frame that a still shows. */
function AtPlayhead() {
  const doc = useEditor((s) => s.doc);
  const told = useClock();
  const time = useRestingTime();
  return doc && <>; the frame at {told(time)}</>;
}
