import { create } from 'zustand';
import * as core from '../core/core';
import type { Edit, Problem, Summary } from '../core/core';
import type { Channel, GuidePath, Knot, SceneDoc } from '../core/document';
import { api } from '../api/client';
import { inStack, itemOf, letteringOf } from './items';
import { notify } from './notices';
import { nameStep } from './stepNames';
import type { Steps } from './visits';

export type Tab = 'words' | 'path' | 'seat' | 'move' | 'dress' | 'export';
export const TABS: Tab[] = ['words', 'path', 'seat', 'move', 'dress', 'export'];

export const TAB_NAMES: Record<Tab, string> = {
  words: 'Words',
  path: 'Path',
  seat: 'Seat',
  move: 'Move',
  dress: 'Dress',
  export: 'Export',
};

/** What the stage shows over the picture. */
export interface Overlays {
  path: boolean;
  direction: boolean;
  others: boolean;
  tenths: boolean;
  length: boolean;
  comb: boolean;
  room: boolean;
  tight: boolean;
  template: boolean;
  rulers: boolean;
  guides: boolean;
  thirds: boolean;
  safe: boolean;
  /** Of a chosen foreground cut: the rest is dimmed. */
  cut: boolean;
  /** Outlines of what is chosen, where it is at its keyframes. */
  keys: boolean;
  /** Outlines of what of it is out of the frame. */
  beyond: boolean;
}

/** A line being drawn: points with handles, points alone, or a stroke of the hand. */
export interface Drawing {
  mode: 'curve' | 'smooth' | 'freehand' | 'edges';
  knots: Knot[];
  /** Handles are set by themselves. */
  auto: boolean;
  /** The item of which a part is brought forward along the line. */
  cut?: string;
  /** Of a line that clings to edges: how many points it had before each place that was clicked. */
  stops?: number[];
}

interface Editor {
  sceneId: string | null;
  projectId: string | null;
  doc: SceneDoc | null;
  summary: Summary | null;
  /** Counts what the core has opened; whoever draws from the core follows it. */
  opened: number;
  /** The same, and what it shows of an edit under way; the stage follows that. */
  shown: number;
  /** The same for the chart, which follows edits of keyframes only. */
  charting: number;
  /** An edit is under way: the document is as it was, the core shows more. */
  previewing: boolean;
  past: SceneDoc[];
  future: SceneDoc[];
  selected: string | null;
  /** Further chosen items, to be put into a group with it. */
  also: string[];
  tab: Tab;
  time: number;
  playing: boolean;
  loop: boolean;
  /** The part of the scene that is played, s; all of it where there is none. */
  range: [number, number] | null;
  full: boolean;
  charted: Channel;
  keyframe: number | null;
  /** Indexes of all chosen keyframes, where several are. */
  keys: number[];
  /** The chosen path, where it is not that of the chosen lettering. */
  pathId: string | null;
  /** Indexes of the chosen points of the chosen path. */
  points: number[];
  drawing: Drawing | null;
  /** The next click on a closed path says where it starts. */
  pickStart: boolean;
  overlays: Overlays;
}

export const useEditor = create<Editor>(() => ({
  sceneId: null,
  projectId: null,
  doc: null,
  summary: null,
  opened: 0,
  shown: 0,
  charting: 0,
  previewing: false,
  past: [],
  future: [],
  selected: null,
  also: [],
  tab: 'move',
  time: 0,
  playing: false,
  loop: true,
  range: null,
  full: false,
  charted: 'pathOffset',
  keyframe: null,
  keys: [],
  pathId: null,
  points: [],
  drawing: null,
  pickStart: false,
  overlays: {
    path: true,
    direction: true,
    others: true,
    tenths: false,
    length: false,
    comb: false,
    room: false,
    tight: true,
    template: true,
    keys: true,
    beyond: true,
    rulers: false,
    guides: true,
    thirds: false,
    safe: false,
    cut: false,
  },
}));

const { getState: get, setState: set } = useEditor;

let ticket = 0;

/** Gives a document to the core, first fetching the shapes of texts it does not know yet. */
async function openInCore(doc: SceneDoc): Promise<void> {
  const mine = ++ticket;
  let answer = core.open(doc);
  if (answer.kind === 'scenes') {
    try {
      await takeScenes(answer.scenes);
      answer = core.open(doc);
    } catch {
      setTimeout(() => mine === ticket && void openInCore(doc), 1500);
      answer = core.open(doc, true);
    }
    if (mine !== ticket) return;
  }
  if (answer.kind === 'missing') {
    try {
      const wanted = answer.missing;
      const runs = await api.shape(wanted);
      wanted.forEach((w, i) => core.putRun(w.key, JSON.stringify(runs[i])));
    } catch {
      // The rest of the scene is shown; the words come once the server is back.
      setTimeout(() => mine === ticket && void openInCore(doc), 1500);
    }
    if (mine !== ticket) return;
    answer = core.open(doc, true);
  }
  if (answer.kind === 'open') showOpened(answer.summary);
}

/** Has scenes at hand that others show; those that are gone are known to be so. */
export async function takeScenes(ids: string[]): Promise<void> {
  const { projectId } = get();
  if (!projectId) return;
  const found = await api.shownScenes(projectId, ids);
  found.forEach((s) => core.putScene(s.id, JSON.stringify(s.document)));
  ids.filter((id) => !found.some((s) => s.id === id)).forEach((id) => core.putScene(id, ''));
}

function showOpened(summary: Summary): void {
  const { opened, shown, charting } = get();
  standing = summary;
  set({
    summary,
    opened: opened + 1,
    shown: shown + 1,
    charting: charting + 1,
    previewing: false,
  });
  lookAtFirst(summary);
}

/** Asks anew for what is set in a typeface that came or went. */
export function reopen(face: string): void {
  const { doc } = get();
  core.forget(face);
  if (doc) void openInCore(doc);
}

/** Shows a scene from its beginning, with the steps of earlier visits to go back through. */
export function showScene(
  sceneId: string,
  projectId: string,
  doc: SceneDoc,
  { past, future }: Steps = { past: [], future: [] },
): void {
  // Those of another project, or as they were before they were worked on.
  core.clearScenes();
  const last = inStack(doc, doc.stack).findLast((id) => letteringOf(doc, id));
  pending = null;
  set({
    sceneId,
    projectId,
    doc,
    past,
    future,
    selected: last ?? null,
    also: [],
    playing: false,
    range: null,
    time: 0,
    keyframe: null,
    keys: [],
    pathId: null,
    points: [],
    drawing: null,
    pickStart: false,
  });
  // A new scene begins with words.
  if (doc.items.length === 0) set({ tab: 'words' });
  // A third into another one there is more to see than on an empty first frame.
  firstTime = doc.items.length === 0 ? 0 : doc.length / 3;
  void openInCore(doc);
}

/** When a scene that was just shown is looked at first, as soon as it is open; null afterwards. */
let firstTime: number | null = null;

function lookAtFirst(summary: Summary): void {
  if (firstTime === null) return;
  const time = core.onFrame(firstTime);
  firstTime = null;
  set({ time, charted: movingOf(summary, get().selected, 'pathOffset') });
}

let lastMerge = '';
let lastEdit = 0;
let held = false;

/** The edit of a drag that the core shows and the document does not have yet. */
let pending: { edit: Edit; merge: string } | null = null;
/** The summary of the document, without what is shown of a drag. */
let standing: Summary | null = null;
let rest: ReturnType<typeof setTimeout> | undefined;

/**
 * Shows an edit of a drag without making it: whole documents are too much for every frame. It is
 * made when the pointer rests, when the drag ends and before anything else is done; each edit takes
 * the place of the one shown before it, so it says all that the drag has done since then.
 */
export function preview(edit: Edit, merge: string): boolean {
  const error = core.preview(edit);
  if (error) {
    notify(error, 'error');
    return false;
  }
  pending = { edit, merge };
  set({ shown: get().shown + 1, previewing: true });
  clearTimeout(rest);
  rest = setTimeout(settle, 300);
  return true;
}

/** The same of the keyframes of one value, which the chart shows as well. */
export function previewKeys(edit: Edit & { item: string; channel: Channel }, merge: string): void {
  if (!preview(edit, merge)) return;
  const { summary, charting } = get();
  const known = summary?.items[edit.item];
  if (!summary || !known) return;
  // Those that are as they were stay the same objects: what shows them is not drawn again.
  const kept = standing?.items[edit.item]?.channels[edit.channel] ?? [];
  const keys = core.keyframes(edit.item, edit.channel).map((k, i) => k ?? kept[i]!);
  const item = { ...known, channels: { ...known.channels, [edit.channel]: keys } };
  const items = { ...summary.items, [edit.item]: item };
  set({ summary: { ...summary, items }, charting: charting + 1 });
}

/** Makes the edit that is only shown so far. */
export function settle(): void {
  clearTimeout(rest);
  if (!pending) return;
  const { edit, merge } = pending;
  const { doc, opened } = get();
  pending = null;
  applyEdit(edit, merge);
  // One that is refused is not shown any longer either.
  if (get().opened === opened && get().doc === doc && doc) void openInCore(doc);
}

/**
 * Puts another document in the place of the present one, as one step that can be undone and is
 * called what was done. Edits with the same {@code merge} word soon after each other are one step.
 * A document with problems is not taken: nothing changes, and the problems are given back.
 */
export function replaceDoc(next: SceneDoc, done: string, merge = ''): Problem[] {
  const { doc, past } = get();
  if (!doc || next === doc) return [];
  const answer = core.open(next);
  if (answer.kind === 'problems') return answer.problems;
  const now = Date.now();
  const merged = merge !== '' && merge === lastMerge && (held || now - lastEdit < 1500);
  lastMerge = merge;
  lastEdit = now;
  nameStep(next, done);
  set({ doc: next, past: merged ? past : [...past, doc], future: [] });
  if (answer.kind === 'open') {
    ticket++;
    showOpened(answer.summary);
  } else {
    void openInCore(next);
  }
  return [];
}

/** Begins a drag, all of which is one step of the history. */
export function beginGesture(): void {
  endGesture();
  held = true;
}

/** Ends a gesture: the next edit is a step of its own. */
export function endGesture(): void {
  settle();
  lastMerge = '';
  held = false;
}

/** An edit by the rules of the core. What is wrong with it is told in a notice and given back. */
export function applyEdit(edit: Edit, merge = ''): Problem[] {
  settle();
  const { doc } = get();
  if (!doc) return [];
  const next = core.edit(doc, edit);
  if ('error' in next) {
    notify(next.error, 'error');
    return [];
  }
  const problems =
    'problems' in next ? next.problems : replaceDoc(next, core.editDone(edit), merge);
  if (problems.length > 0) notify(problemText(problems[0]!), 'error');
  return problems;
}

/** A problem as one sentence, without the document's brackets and dots. */
export function problemText(p: Problem): string {
  const field = p.path.replace(/^\$\.?/, '').replace(/\[(\d+)\]/g, (_, i) => ` ${Number(i) + 1}`);
  const named = field.replace(/\./g, ', ') || 'The scene';
  return `${named} ${p.reason}${p.allowed ? `; allowed: ${p.allowed}` : ''}`;
}

/**
 * Takes the last point of the line being drawn back, of a stroke all of it, of a line that clings to
 * edges what came with the last click; false without one.
 */
export function takePointBack(): boolean {
  const { drawing } = get();
  if (!drawing) return false;
  const { mode, knots, stops = [] } = drawing;
  const kept = mode === 'freehand' ? 0 : mode === 'edges' ? (stops.at(-1) ?? 0) : -1;
  set({ drawing: { ...drawing, knots: knots.slice(0, kept), stops: stops.slice(0, -1) } });
  return true;
}

/** One step back; while a line is being drawn, its last point. */
export function undo(): void {
  if (takePointBack()) return;
  settle();
  const { doc, past, future } = get();
  const last = past.at(-1);
  if (!doc || !last) return;
  endGesture();
  set({
    doc: last,
    past: past.slice(0, -1),
    future: [doc, ...future],
  });
  void openInCore(last);
}

export function redo(): void {
  if (get().drawing) return;
  settle();
  const { doc, past, future } = get();
  const next = future[0];
  if (!doc || !next) return;
  endGesture();
  set({ doc: next, past: [...past, doc], future: future.slice(1) });
  void openInCore(next);
}

/** The path that the Path tab is about: the chosen one, else that of the chosen lettering. */
export function pathOf(s: Pick<Editor, 'doc' | 'pathId' | 'selected'>): GuidePath | undefined {
  const own = s.doc?.paths.find((p) => p.id === s.pathId);
  const item = itemOf(s.doc, s.selected);
  const of = item && 'path' in item ? item.path : item?.ride?.path;
  return own ?? s.doc?.paths.find((p) => p.id === of);
}

/** The value to chart of an item: the one charted now if it moves, else one that does. */
function movingOf(summary: Summary | null, id: string | null, now: Channel): Channel {
  const moving = summary?.items[id ?? '']?.moving ?? [];
  if (moving.length === 0 || moving.includes(now)) return now;
  return moving.includes('pathOffset') ? 'pathOffset' : moving[0]!;
}

/** Chooses one more item, or one less. */
export function selectAlso(id: string): void {
  const { selected, also } = get();
  if (!selected) select(id);
  else if (id !== selected)
    set({ also: also.includes(id) ? also.filter((o) => o !== id) : [...also, id] });
}

export function select(id: string | null): void {
  const { summary, charted } = get();
  set({
    selected: id,
    charted: movingOf(summary, id, charted),
    also: [],
    keyframe: null,
    keys: [],
    pathId: null,
    points: [],
    pickStart: false,
  });
}

export function setTime(time: number): void {
  const { doc } = get();
  if (doc) set({ time: core.onFrame(time) });
}
