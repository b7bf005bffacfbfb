import type { SceneDoc } from '../core/document';

/**
 * What the server has not confirmed yet, in the browser's own store, under the name of this tab: two
 * tabs never write over each other's.
 */
export interface Pending {
  revision: number;
  document: SceneDoc;
}

const PREFIX = 'roving-pending';
let tab = '';

/** Finds out which tab this is; a duplicated tab gets a name of its own. */
export async function claimTab(): Promise<void> {
  const kept = sessionStorage.getItem('roving-tab');
  const wanted = kept ?? crypto.randomUUID();
  tab = (await hold(wanted)) ? wanted : crypto.randomUUID();
  if (tab !== wanted) await hold(tab);
  sessionStorage.setItem('roving-tab', tab);
}

/** Holds a lock for the life of the page, so that other tabs know that this one lives. */
function hold(name: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(`${PREFIX}:${name}`, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock === null ? undefined : new Promise(() => {});
    });
  });
}

const keyOf = (scene: string, name = tab) => `${PREFIX}:${scene}:${name}`;

/** False where the browser's store is full or closed. */
export function keepPending(scene: string, pending: Pending): boolean {
  try {
    localStorage.setItem(keyOf(scene), JSON.stringify(pending));
    return true;
  } catch {
    return false;
  }
}

export function dropPending(scene: string): void {
  localStorage.removeItem(keyOf(scene));
}

/** This tab's unconfirmed work on a scene, or that of a tab that is gone; it becomes this tab's. */
export async function takePending(scene: string): Promise<Pending | null> {
  const { held = [] } = await navigator.locks.query();
  const alive = new Set(held.map((l) => l.name));
  for (const key of Object.keys(localStorage)) {
    if (!key.startsWith(`${PREFIX}:${scene}:`)) continue;
    const owner = key.slice(`${PREFIX}:${scene}:`.length);
    if (owner !== tab && alive.has(`${PREFIX}:${owner}`)) continue;
    const text = localStorage.getItem(key);
    localStorage.removeItem(key);
    if (!text) continue;
    localStorage.setItem(keyOf(scene), text);
    return JSON.parse(text) as Pending;
  }
  return null;
}
