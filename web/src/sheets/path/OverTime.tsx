import { useTimeWords } from '../../state/timeUnit';
import { X } from 'lucide-react';
import type { DrawnPath, Easing, EasingName } from '../../core/document';
import { setTime } from '../../state/editor';
import { editPath } from '../../state/paths';
import { Choice } from '../../ui/Choice';

const EASINGS: { value: EasingName; label: string }[] = [
  { value: 'linear', label: 'Steady' },
  { value: 'ease-in', label: 'Gentle start' },
  { value: 'ease-out', label: 'Gentle stop' },
  { value: 'ease-in-out', label: 'Gentle both' },
  { value: 'hold', label: 'Hold' },
];

/** The word of an easing; one by numbers has none here. */
function wordOf(easing: Easing | undefined): EasingName {
  return typeof easing === 'string' ? easing : easing ? 'own' : 'ease-in-out';
}

/** Whether the path changes shape over time; off unless asked for. */
export function OverTime({ path }: { path: DrawnPath }) {
  const words = useTimeWords();
  if (!path.shapes) {
    return (
      <>
        <p className="mb-2 text-[12px] text-soft">
          Edits change the path for the whole scene. When let, they change it at the playhead only.
        </p>
        <button
          type="button"
          className="btn w-full"
          onClick={() => editPath('changeShape', { on: true })}
        >
          Let this path change shape over time
        </button>
      </>
    );
  }
  return (
    <div className="rounded-lg border border-ochre p-2.5">
      <p className="mb-2 text-[12px]">
        This path changes shape over time: editing a point sets a shape at the playhead.
      </p>
      <ul className="mb-2 flex flex-wrap gap-1" aria-label="Shapes">
        {path.shapes.map((s) => (
          <li key={s.time}>
            <button type="button" className="btn h-6 px-1.5" onClick={() => setTime(s.time)}>
              {words(s.time)}
            </button>
          </li>
        ))}
      </ul>
      <Choice
        label="Easing"
        value={wordOf(path.shapes[0]?.easing)}
        options={EASINGS}
        onChange={(easing) => editPath('easeShape', { easing })}
      />
      <button
        type="button"
        className="btn w-full"
        onClick={() => editPath('changeShape', { on: false })}
      >
        <X className="size-4" /> Keep this shape for the whole scene
      </button>
    </div>
  );
}
