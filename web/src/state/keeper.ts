import { create } from 'zustand';
import { api, ServerError } from '../api/client';
import { complete } from '../core/core';
import type { SceneDoc } from '../core/document';
import { replaceDoc, showScene, useEditor } from './editor';
import { notify } from './notices';
import { dropPending, keepPending, takePending } from './pending';

/** kept: on the server; keeping: on its way; away: kept by the browser; conflict: a choice waits. */
export type KeepState = 'kept' | 'keeping' | 'away' | 'conflict' | 'refused';

interface Keeper {
  state: KeepState;
  /** The server's version while a choice waits. */
  theirs: { revision: number; document: SceneDoc; savedAt: string } | null;
}

export const useKeeper = create<Keeper>(() => ({ state: 'kept', theirs: null }));

const DELAY = 300;
const RETRY = 1000;

let revision = 0;
let confirmed: SceneDoc | null = null;
let timer = 0;
let busy = false;

/** Opens a scene; work on it that the server never confirmed is taken up and sent. */
export async function openScene(id: string): Promise<void> {
  await flush();
  const kept = await api.scene(id);
  const document = complete(kept.document);
  revision = kept.revision;
  confirmed = document;
  useKeeper.setState({ state: 'kept', theirs: null });
  const pending = await takePending(id);
  showScene(id, kept.projectId, document);
  if (pending) {
    revision = pending.revision;
    replaceDoc(complete(pending.document));
    notify('Changes that had not reached the server were found in this browser.');
  }
}

/** Follows the editor and keeps every change. */
export function startKeeping(): void {
  useEditor.subscribe((now, before) => {
    if (!now.doc || !now.sceneId || now.doc === before.doc) return;
    if (now.sceneId !== before.sceneId) return;
    if (!keepPending(now.sceneId, { revision, document: now.doc })) {
      notify('This browser cannot keep unsaved work: its store is full or closed.', 'error');
    }
    if (useKeeper.getState().state === 'conflict') return;
    if (useKeeper.getState().state !== 'away') useKeeper.setState({ state: 'keeping' });
    schedule(DELAY);
  });
  window.addEventListener('online', () => schedule(0));
}

function schedule(delay: number): void {
  window.clearTimeout(timer);
  timer = window.setTimeout(() => void save(), delay);
}

async function flush(): Promise<void> {
  window.clearTimeout(timer);
  await save();
}

async function save(): Promise<void> {
  const { doc, sceneId } = useEditor.getState();
  const waits = useKeeper.getState().state === 'conflict';
  if (busy || waits || !doc || !sceneId) return;
  if (doc === confirmed) {
    // Undone back to what the server has, or nothing changed at all.
    dropPending(sceneId);
    useKeeper.setState({ state: 'kept' });
    return;
  }
  busy = true;
  try {
    const saved = await api.saveScene(sceneId, revision, doc);
    revision = saved.revision;
    confirmed = doc;
    const latest = useEditor.getState();
    if (latest.sceneId === sceneId && latest.doc !== doc && latest.doc) {
      keepPending(sceneId, { revision, document: latest.doc });
      schedule(0);
    } else {
      dropPending(sceneId);
      useKeeper.setState({ state: 'kept' });
    }
  } catch (e) {
    await failed(e, sceneId);
  } finally {
    busy = false;
  }
}

async function failed(e: unknown, sceneId: string): Promise<void> {
  const status = e instanceof ServerError ? e.status : 0;
  if (status === 412) {
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
    useKeeper.setState({ state: 'refused' });
    notify(e instanceof Error ? e.message : 'The server refused the change', 'error');
    return;
  }
  useKeeper.setState({ state: 'away' });
  schedule(RETRY);
}

/** The choice after a conflict. What does not stand can be had back by undo or from the server. */
export function resolveConflict(mine: boolean): void {
  const { theirs } = useKeeper.getState();
  const { doc, sceneId } = useEditor.getState();
  if (!theirs || !doc || !sceneId) return;
  revision = theirs.revision;
  useKeeper.setState({ state: 'kept', theirs: null });
  confirmed = theirs.document;
  if (mine) {
    useKeeper.setState({ state: 'keeping' });
    schedule(0);
  } else {
    dropPending(sceneId);
    replaceDoc(theirs.document);
    notify('The other version stands. Undo brings yours back.');
  }
}
