import { create } from 'zustand';
import { api, ServerError } from '../api/client';
import { complete } from '../core/core';
import type { SceneDoc } from '../core/document';
import type { Pending } from './browserStore';
import { replaceDoc, settle, showScene, useEditor } from './editor';
import { doneSince } from './stepNames';
import { notify } from './notices';
import { dropPending, isOurs, keepPending, pendingOf } from './pending';
import { earlierVisit, keepVisit } from './visits';

/**
 * kept: on the server; keeping: on its way; away: on this browser's disk while the server is away;
 * conflict: a choice waits.
 */
export type KeepState = 'kept' | 'keeping' | 'away' | 'conflict' | 'refused';

interface Keeper {
  state: KeepState;
  /** The server's version while a choice waits. */
  theirs: { revision: number; document: SceneDoc; savedAt: string } | null;
  /** Work of pages that are gone, which never reached the server. */
  offers: Pending[];
}

export const useKeeper = create<Keeper>(() => ({ state: 'kept', theirs: null, offers: [] }));

const DELAY = 300;
const RETRY = 1000;
const VISIT_DELAY = 700;
const STORE_WAIT = 2000;

let revision = 0;
let confirmed: SceneDoc | null = null;
/** What lies on this browser's disk. */
let stored: SceneDoc | null = null;
/** Keys of saves whose answers are not known. */
let unanswered: string[] = [];
/** The save to come, and the document that it is for: sent again, it is the same save. */
let next = { key: crypto.randomUUID() as string, doc: null as SceneDoc | null };
let reachable = true;
let timer = 0;
let visitTimer = 0;
/** The save under way. */
let saving: Promise<void> | null = null;

/** Opens a scene; work on it that the server never confirmed is taken up or offered. */
export async function openScene(id: string): Promise<void> {
  settle();
  await flush();
  const kept = await api.scene(id);
  const document = complete(kept.document);
  const { own, others } = await pendingOf(id);
  // Work of one page that ended before its changes arrived is simply gone on with. Whether the
  // server has moved on since by its own saves or somebody else's shows when it is sent.
  const found = own ?? (others.length === 1 ? others[0] : undefined);
  const steps = await earlierVisit(id, document);
  revision = kept.revision;
  confirmed = document;
  stored = null;
  unanswered = [];
  useKeeper.setState({ state: 'kept', theirs: null, offers: others.filter((o) => o !== found) });
  showScene(id, kept.projectId, document, steps);
  if (!found) return;
  if (JSON.stringify(found.document) === JSON.stringify(kept.document)) {
    await dropPending(id, found.tab);
    return;
  }
  revision = found.revision;
  await takeUp(found);
  notify('Changes that had not reached the server were found in this browser.');
}

/** Goes on with work that was found; it is this tab's before it ceases to be the other's. */
async function takeUp(found: Pending): Promise<void> {
  const document = complete(found.document);
  unanswered = [...unanswered, ...found.keys];
  const kept = await keepPending({ scene: found.scene, revision, document, keys: unanswered });
  if (kept && !isOurs(found)) await dropPending(found.scene, found.tab);
  replaceDoc(document, 'Took up changes found in this browser');
}

/** Work of a page that is gone, chosen from those offered: an edit like any other. */
export async function takeOffer(offer: Pending): Promise<void> {
  const { sceneId } = useEditor.getState();
  if (sceneId !== offer.scene) return;
  await flush();
  withdraw(offer);
  await takeUp(offer);
  notify('The changes are taken up. Undo goes back to what stood before.');
}

/** Gives offered work up for good. */
export async function dropOffer(offer: Pending): Promise<void> {
  withdraw(offer);
  await dropPending(offer.scene, offer.tab);
}

/** Takes an offer off the list; in the browser it stays, to be offered the next time. */
export function withdraw(offer: Pending): void {
  useKeeper.setState((s) => ({ offers: s.offers.filter((o) => o !== offer) }));
}

/** Follows the editor and keeps every change. */
export function startKeeping(): void {
  useEditor.subscribe((now, before) => {
    if (!now.doc || !now.sceneId || now.doc === before.doc) return;
    if (now.sceneId !== before.sceneId) return;
    void store();
    window.clearTimeout(visitTimer);
    visitTimer = window.setTimeout(() => void rememberVisit(), VISIT_DELAY);
    tell();
    if (useKeeper.getState().state !== 'conflict') schedule(reachable ? DELAY : RETRY);
  });
  window.addEventListener('online', () => schedule(0));
  window.addEventListener('pagehide', () => {
    settle();
    void rememberVisit();
  });
}

async function rememberVisit(): Promise<void> {
  window.clearTimeout(visitTimer);
  const { sceneId, doc, past, future } = useEditor.getState();
  if (sceneId && doc) await keepVisit(sceneId, doc, { past, future });
}

/** A store that does not answer must hold nothing up for ever. */
const inTime = (stored: Promise<void>): Promise<void> =>
  Promise.race([stored, new Promise<void>((done) => setTimeout(done, STORE_WAIT))]);

/** What is true now, in the words of the state. */
function tell(): void {
  const { state } = useKeeper.getState();
  if (state === 'conflict') return;
  const { doc } = useEditor.getState();
  const now = doc === confirmed ? 'kept' : !reachable && doc === stored ? 'away' : 'keeping';
  if (now !== state) useKeeper.setState({ state: now });
}

let storing: Promise<void> | null = null;

/** Brings the present document to this browser's disk. One write at a time; the last one counts. */
function store(): Promise<void> {
  storing ??= write().finally(() => {
    storing = null;
    tell();
  });
  return storing;
}

async function write(): Promise<void> {
  for (;;) {
    const { doc, sceneId } = useEditor.getState();
    if (!doc || !sceneId || doc === stored || doc === confirmed) return;
    if (next.doc !== doc) next = { key: crypto.randomUUID(), doc };
    const keys = [...unanswered, next.key];
    if (!(await keepPending({ scene: sceneId, revision, document: doc, keys }))) {
      notify('This browser cannot keep unsaved work: its store is full or closed.', 'error');
      return;
    }
    stored = doc;
  }
}

function schedule(delay: number): void {
  window.clearTimeout(timer);
  timer = window.setTimeout(() => void save(), delay);
}

async function flush(): Promise<void> {
  window.clearTimeout(timer);
  void rememberVisit();
  await saving;
  await save();
}

/** Nothing is unconfirmed any longer; undo and redo are kept, too. */
async function allKept(sceneId: string): Promise<void> {
  await Promise.all([storing, inTime(rememberVisit())]);
  if (useEditor.getState().doc !== confirmed) return;
  stored = null;
  await dropPending(sceneId);
}

/** Sends what there is to send; one save at a time. */
function save(): Promise<void> {
  saving ??= send().finally(() => (saving = null));
  return saving;
}

async function send(): Promise<void> {
  const { doc, sceneId } = useEditor.getState();
  const waits = useKeeper.getState().state === 'conflict';
  if (waits || !doc || !sceneId) return;
  if (doc === confirmed) {
    // Undone back to what the server has, or nothing changed at all.
    await allKept(sceneId);
    tell();
    return;
  }
  try {
    // The key is on the disk before the save is out, so that it is known again after a crash.
    await inTime(store());
    const { key } = next.doc === doc ? next : (next = { key: crypto.randomUUID(), doc });
    if (!unanswered.includes(key)) unanswered = [...unanswered, key];
    const { past, future } = useEditor.getState();
    const done = doneSince(confirmed, doc, past, future);
    const saved = await api.saveScene(sceneId, revision, doc, key, done);
    reachable = true;
    revision = saved.revision;
    confirmed = doc;
    unanswered = [];
    const latest = useEditor.getState();
    if (latest.sceneId === sceneId && latest.doc !== doc && latest.doc) {
      stored = null;
      void store();
      schedule(0);
    } else {
      await allKept(sceneId);
    }
    if (useKeeper.getState().state === 'refused') useKeeper.setState({ state: 'keeping' });
    tell();
  } catch (e) {
    await failed(e, sceneId);
  }
}

async function failed(e: unknown, sceneId: string): Promise<void> {
  const status = e instanceof ServerError ? e.status : 0;
  if (status === 412) {
    const answer = (e as ServerError).more;
    const since = answer?.keysSince ?? [];
    if (answer?.revision && since.length > 0 && since.every((k) => unanswered.includes(k))) {
      // What was saved since are our own saves, whose answers were lost.
      revision = answer.revision;
      stored = null;
      schedule(0);
      return;
    }
    try {
      const theirs = await api.scene(sceneId);
      const document = complete(theirs.document);
      useKeeper.setState({ state: 'conflict', theirs: { ...theirs, document } });
      return;
    } catch {
      // Away again: the next try will meet the same answer.
    }
  }
  if (status >= 400 && status < 500 && status !== 412) {
    await store();
    useKeeper.setState({ state: 'refused' });
    notify(e instanceof Error ? e.message : 'The server refused the change', 'error');
    return;
  }
  reachable = false;
  await store();
  tell();
  schedule(RETRY);
}

/** The choice after a conflict. What does not stand can be had back by undo or from the history. */
export function resolveConflict(mine: boolean): void {
  const { theirs } = useKeeper.getState();
  const { doc, sceneId } = useEditor.getState();
  if (!theirs || !doc || !sceneId) return;
  revision = theirs.revision;
  unanswered = [];
  stored = null;
  useKeeper.setState({ state: 'kept', theirs: null });
  confirmed = theirs.document;
  if (mine) {
    tell();
    void store();
    schedule(0);
  } else {
    replaceDoc(theirs.document, 'Took the other version');
    void dropPending(sceneId);
    tell();
    notify('The other version stands. Undo brings yours back.');
  }
}
