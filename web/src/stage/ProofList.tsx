import type { Edit } from '../core/core';
import { applyEdit, select, setTime, useEditor } from '../state/editor';
import { pause } from './playback';

/** What the automatic checks found. */
export function ProofList() {
  const findings = useEditor((s) => s.summary?.findings);
  if (!findings) return null;
  return (
    <section aria-label="Proof" className="shrink-0">
      <h2 className="mb-1 flex justify-between font-semibold">
        Proof
        <span className="font-normal text-soft">
          {findings.length === 0 ? 'nothing to look at' : `${findings.length} to look at`}
        </span>
      </h2>
      {findings.length > 0 && (
        <ul className="divide-y divide-rule rounded-lg border border-rule bg-sheet">
          {findings.map((f, i) => (
            <li key={i} className="flex items-center gap-2.5 px-3 py-1.5">
              <span className="size-2 shrink-0 bg-ochre" />
              <span className="min-w-0 flex-1 break-words">{f.message}</span>
              {f.mend && (
                <button
                  type="button"
                  className="btn"
                  onClick={() => applyEdit(JSON.parse(f.edit) as Edit)}
                >
                  {f.mend}
                </button>
              )}
              <button
                type="button"
                className="btn"
                onClick={() => {
                  pause();
                  select(f.item);
                  if (f.time >= 0) setTime(f.time);
                }}
              >
                Show
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
