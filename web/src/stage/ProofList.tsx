import { useState } from 'react';
import type { Edit, Finding } from '../core/core';
import { applyEdit, select, setTime, useEditor } from '../state/editor';
import { choosePath } from '../state/paths';
import { countWords, useFindings, usePictureFindings } from '../state/proof';
import { pause } from './playback';

/** What the automatic checks found. */
export function ProofList() {
  const findings = useFindings((s) => s.found);
  const opened = useEditor((s) => s.opened);
  const [asked, setAsked] = useState(0);
  const pictures = usePictureFindings(asked > 0 && asked === opened);
  // The heading stands from the start, so that the stage above it stays where it is.
  const all = [...(findings ?? []), ...(pictures.data ?? [])];
  return (
    <section aria-label="Proof" className="shrink-0">
      <h2 className="mb-1 flex items-baseline gap-3 font-semibold">
        <span className="flex-1">Proof</span>
        {!pictures.data && !pictures.isFetching && (
          <button
            type="button"
            className="text-[12px] font-normal text-teal underline"
            title="Has the frames painted and looks at them"
            onClick={() => setAsked(opened)}
          >
            check contrast and flashes
          </button>
        )}
        <span className="font-normal text-soft" role="status">
          {pictures.isFetching ? 'looking at the pictures …' : findings ? countWords(all) : '…'}
        </span>
      </h2>
      {pictures.isError && <p className="text-soft">{pictures.error.message}</p>}
      <Findings all={all} />
    </section>
  );
}

/** What was found, each with a way to it and, where there is one, what mends it. */
export function Findings({ all }: { all: Finding[] }) {
  if (all.length === 0) return null;
  return (
    <ul className="divide-y divide-rule rounded-lg border border-rule bg-sheet">
      {all.map((f, i) => (
        <li key={i} className="flex flex-wrap items-center gap-x-2.5 gap-y-1 px-3 py-1.5">
          <span className="size-2 shrink-0 bg-ochre" />
          <span className="min-w-44 flex-1 break-words">{whole(f.message)}</span>
          <span className="flex gap-2">
            {f.fix && (
              <button
                type="button"
                className="btn"
                onClick={() => applyEdit(JSON.parse(f.edit) as Edit)}
              >
                {f.fix}
              </button>
            )}
            <button type="button" className="btn" onClick={() => show(f)}>
              Show
            </button>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** A number stays on one line with its unit. */
const whole = (text: string) => text.replace(/(\d) (px|s|%)/g, '$1\u00a0$2');

function show(f: Finding): void {
  pause();
  const path = useEditor.getState().doc?.paths.some((p) => p.id === f.item);
  if (path) {
    useEditor.setState({ tab: 'path' });
    choosePath(f.item);
  } else if (f.item) {
    select(f.item);
  }
  if (f.time >= 0) setTime(f.time);
}
