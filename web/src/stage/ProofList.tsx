import { useEffect, useState } from 'react';
import * as core from '../core/core';
import type { Edit, Finding } from '../core/core';
import { applyEdit, select, setTime, useEditor } from '../state/editor';
import { pause } from './playback';

/** What is done first when a scene was opened or edited: ms in which nobody reads a list. */
const PATIENCE = 120;

/** What Proof finds in the scene once it has been shown; before that what it found the last time. */
function useFindings(): Finding[] | null {
  const opened = useEditor((s) => s.opened);
  const [found, setFound] = useState<Finding[] | null>(null);
  useEffect(() => {
    if (opened === 0) return;
    const timer = setTimeout(() => setFound(core.findings()), PATIENCE);
    return () => clearTimeout(timer);
  }, [opened]);
  return found;
}

/** What the automatic checks found. */
export function ProofList() {
  const findings = useFindings();
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
              {f.fix && (
                <button
                  type="button"
                  className="btn"
                  onClick={() => applyEdit(JSON.parse(f.edit) as Edit)}
                >
                  {f.fix}
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
