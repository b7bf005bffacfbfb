import { Suspense, useCallback, type ReactNode } from 'react';
import { TAB_NAMES, useEditor, type Tab } from '../state/editor';
import { letteringOf, shapeOf } from '../state/items';
import { addLettering } from '../state/itemActions';
import type { Lettering } from '../core/document';
import { keepScroll, scrollOf } from '../ui/folds';
import { later } from '../ui/later';
import { MoveSheet } from './move/MoveSheet';

// The page begins with Move; the others come once it is there, so that they are there when the
// server is not.
const WordsSheet = later(() => import('./words/WordsSheet').then((m) => m.WordsSheet));
const PathSheet = later(() => import('./path/PathSheet').then((m) => m.PathSheet));
const SeatSheet = later(() => import('./seat/SeatSheet').then((m) => m.SeatSheet));
const DressSheet = later(() => import('./DressSheet').then((m) => m.DressSheet));
const ExportSheet = later(() => import('./export/ExportSheet').then((m) => m.ExportSheet));

/** The sheet of the open tab. */
export function Sheet() {
  const tab = useEditor((s) => s.tab);
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const scrolled = useCallback(
    (sheet: HTMLElement | null) => {
      if (sheet) sheet.scrollTop = scrollOf(tab);
    },
    [tab],
  );
  const lettering = letteringOf(doc, selected);
  const shape = shapeOf(doc, selected);
  const subject = shape && (tab === 'move' || tab === 'dress') ? shape.name : undefined;
  const path = doc?.paths.find((p) => p.id === lettering?.path);
  if (!doc) return <aside className="min-h-0 flex-1 bg-sheet" />;
  const needsLettering = tab === 'words' || tab === 'seat';
  return (
    <aside
      // Each sheet is found where it was left.
      key={tab}
      ref={scrolled}
      onScroll={(e) => keepScroll(tab, e.currentTarget.scrollTop)}
      className="min-h-0 flex-1 overflow-x-hidden overflow-y-auto bg-sheet px-4 pt-3.5 pb-6"
      aria-label={TAB_NAMES[tab]}
    >
      <h1 className="font-head text-[17px] font-semibold">{TAB_NAMES[tab]}</h1>
      <p className="mb-3 truncate text-[12px] text-soft">
        {lettering && tab !== 'export'
          ? `“${lettering.text.trim() || 'no words yet'}” on ${path?.name}`
          : (subject ?? SUBTITLES[tab])}
      </p>
      {needsLettering && !lettering ? (
        <ChooseFirst />
      ) : (
        <Suspense fallback={null}>
          <Body tab={tab} lettering={lettering} />
        </Suspense>
      )}
    </aside>
  );
}

const SUBTITLES: Record<Tab, string> = {
  words: 'What it says and how it looks',
  path: 'The line it travels on',
  seat: 'How it sits on the line',
  move: 'When it is where',
  dress: 'Colour and pictures',
  export: 'Files to hand off',
};

function Body({ tab, lettering }: { tab: Tab; lettering: Lettering | undefined }): ReactNode {
  if (tab === 'words' && lettering) return <WordsSheet lettering={lettering} />;
  if (tab === 'path') return <PathSheet lettering={lettering} />;
  if (tab === 'seat' && lettering) return <SeatSheet lettering={lettering} />;
  if (tab === 'move') return <MoveSheet />;
  if (tab === 'dress') return <DressSheet />;
  return <ExportSheet />;
}

function ChooseFirst() {
  const empty = useEditor((s) => s.doc?.items.every((i) => i.kind === 'colour-field'));
  if (empty) {
    return (
      <p className="rounded-lg bg-paper p-3">
        The first words are added on the stage; then this sheet is about them.
      </p>
    );
  }
  return (
    <div className="rounded-lg bg-paper p-3">
      <p className="mb-2">Choose a lettering on the stage or in the stack above it, or add one.</p>
      <button type="button" className="btn-main" onClick={addLettering}>
        Add a lettering
      </button>
    </div>
  );
}
