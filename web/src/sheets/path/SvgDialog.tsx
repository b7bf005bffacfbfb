import { useEffect, useState } from 'react';
import { api } from '../../api/client';
import * as core from '../../core/core';
import type { FoundPath } from '../../core/core';
import { importPaths } from '../../state/paths';
import { Modal } from '../../ui/Modal';
import { Thumb } from './PathGallery';

export type Source = { kind: 'file'; file: File } | { kind: 'data' };

interface Found {
  paths: FoundPath[];
  notes: string[];
}

const LARGEST = 10_000_000;

async function readFile(file: File): Promise<Found> {
  if (file.size > LARGEST) {
    const mb = Math.round(file.size / 1_000_000);
    return { paths: [], notes: [`The file has ${mb} MB; at most 10 MB are read.`] };
  }
  try {
    return await api.svgPaths(file);
  } catch (e) {
    return { paths: [], notes: [e instanceof Error ? e.message : 'The file cannot be read'] };
  }
}

function readData(text: string): Found {
  if (!text.trim()) return { paths: [], notes: [] };
  const { parts, error, position } = core.pathParts(text);
  const notes = error
    ? [`Broken at character ${position}: ${error}. It is drawn up to there.`]
    : parts.length === 0
      ? ['This draws nothing.']
      : [];
  return { paths: parts, notes };
}

/** Shows what an SVG file or path data draws, and takes in what is chosen. */
export function SvgDialog({ source, onClose }: { source: Source; onClose: () => void }) {
  const [found, setFound] = useState<Found | null>(source.kind === 'data' ? EMPTY : null);
  const [left, setLeft] = useState<Set<number>>(new Set());
  const [fit, setFit] = useState(true);
  useEffect(() => {
    if (source.kind === 'file') void readFile(source.file).then(setFound);
  }, [source]);
  const chosen = found?.paths.filter((_, i) => !left.has(i)) ?? [];
  const toggle = (i: number) => {
    const next = new Set(left);
    if (!next.delete(i)) next.add(i);
    setLeft(next);
  };
  const none = () => setLeft(new Set(found?.paths.map((_, i) => i)));
  return (
    <Modal
      title={source.kind === 'file' ? `Paths of ${source.file.name}` : 'Path data'}
      open
      onClose={onClose}
    >
      {source.kind === 'data' && (
        <textarea
          className="field mb-3 h-28 resize-y py-1.5 font-mono text-[12px]"
          aria-label="Path data"
          placeholder="M10 80 C40 10 65 10 95 80 S150 150 180 80"
          onChange={(e) => setFound(readData(e.target.value))}
        />
      )}
      {!found && <p>Reading…</p>}
      {found?.notes.map((n) => (
        <p key={n} role="alert" className="mb-2 text-ochre">
          {n}
        </p>
      ))}
      {found && found.paths.length > 0 && (
        <>
          <p className="mb-1.5 flex justify-between text-soft">
            {chosen.length} of {found.paths.length} chosen
            <span className="flex gap-3">
              <button
                type="button"
                className="text-teal underline"
                onClick={() => setLeft(new Set())}
              >
                All
              </button>
              <button type="button" className="text-teal underline" onClick={none}>
                None
              </button>
            </span>
          </p>
          <ul className="mb-3 max-h-64 overflow-auto rounded-md border border-rule">
            {found.paths.map((p, i) => (
              <li key={i}>
                <label className="flex cursor-pointer items-center gap-2.5 px-2.5 py-1 hover:bg-paper">
                  <input
                    type="checkbox"
                    className="size-4 accent-teal"
                    checked={!left.has(i)}
                    onChange={() => toggle(i)}
                  />
                  <Thumb d={p.picture} />
                  <span className="min-w-0 flex-1 truncate">{p.name ?? `Path ${i + 1}`}</span>
                  <span className="text-[12px] text-soft">
                    {p.closed ? 'closed' : 'open'}, {p.length.toFixed(0)} px
                  </span>
                </label>
              </li>
            ))}
          </ul>
          <label className="mb-3 flex items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-teal"
              checked={fit}
              onChange={(e) => setFit(e.target.checked)}
            />
            Bring them to the size of the frame
          </label>
        </>
      )}
      <div className="flex justify-end gap-2">
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button
          type="button"
          className="btn-main"
          disabled={chosen.length === 0}
          onClick={() => {
            importPaths(chosen, fit);
            onClose();
          }}
        >
          {chosen.length === 1 ? 'Take the path' : `Take ${chosen.length} paths`}
        </button>
      </div>
    </Modal>
  );
}

const EMPTY: Found = { paths: [], notes: [] };
