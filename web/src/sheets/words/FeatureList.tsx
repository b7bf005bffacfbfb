import type { Lettering } from '../../core/document';
import { changeChosen } from '../../state/values';

/** On by themselves, until they are turned off (OpenType registered features). */
const USUAL = new Set(['kern', 'liga', 'clig', 'calt']);

interface Props {
  lettering: Lettering;
  features: { tag: string; name: string }[];
}

/** The choices that the typeface offers. */
export function FeatureList({ lettering, features }: Props) {
  const set = lettering.features ?? {};
  const put = (tag: string, on: boolean) => {
    const next = { ...set };
    if (on === USUAL.has(tag)) delete next[tag];
    else next[tag] = on ? 1 : 0;
    changeChosen(lettering.id, { features: next });
  };
  return (
    <ul>
      {features.map((f) => {
        const on = set[f.tag] === undefined ? USUAL.has(f.tag) : set[f.tag] !== 0;
        return (
          <li key={f.tag}>
            <label className="flex cursor-pointer items-center gap-2 py-0.5">
              <input
                type="checkbox"
                className="size-4 shrink-0 accent-teal"
                checked={on}
                onChange={(e) => put(f.tag, e.target.checked)}
              />
              <span className="min-w-0 flex-1 truncate">{f.name}</span>
              <span className="text-[11px] text-soft">{f.tag}</span>
            </label>
          </li>
        );
      })}
    </ul>
  );
}
