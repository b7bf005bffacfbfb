import type { SceneDoc } from '../core/document';
import { browserStore, STRICT, type Pending } from './browserStore';

const LOCK = 'roving-pending';
let tab = 'tab';

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
    void navigator.locks.request(`${LOCK}:${name}`, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock === null ? undefined : new Promise(() => {});
    });
  });
}

/** Whether work is this tab's own. */
export const isOurs = (p: Pending) => p.tab === tab;

/** Writes after each other, in the order in which they were asked for. */
let last: Promise<unknown> = Promise.resolve();

function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = last.then(work, work);
  last = mine.catch(() => undefined);
  return mine;
}

/** Keeps this tab's work; true once it is on the disk, false where the store is full or closed. */
export function keepPending(parts: Omit<Pending, 'tab' | 'at'>): Promise<boolean> {
  return inTurn(async () => {
    const tx = (await browserStore()).transaction('pending', 'readwrite', STRICT);
    void tx.store.put({ ...parts, tab, at: Date.now() });
    await tx.done;
    return true;
  }).catch(() => false);
}

/** Forgets work of this tab, or of another that was taken over or given up. */
export async function dropPending(scene: string, of = tab): Promise<void> {
  await inTurn(async () => {
    const tx = (await browserStore()).transaction('pending', 'readwrite', STRICT);
    void tx.store.delete([scene, of]);
    await tx.done;
  }).catch(() => undefined);
}

/** Unconfirmed work on a scene: this tab's, and that of tabs that are gone, the newest first. */
export async function pendingOf(scene: string): Promise<{ own?: Pending; others: Pending[] }> {
  try {
    await adoptOld();
    const { held = [] } = await navigator.locks.query();
    const alive = new Set(held.map((l) => l.name));
    const all = await inTurn(async () =>
      (await browserStore()).getAllFromIndex('pending', 'scene', scene),
    );
    const others = all.filter((p) => p.tab !== tab && !alive.has(`${LOCK}:${p.tab}`));
    others.sort((a, b) => b.at - a.at);
    return { own: all.find((p) => p.tab === tab), others };
  } catch {
    return { others: [] };
  }
}

/** Work that pages of an earlier version left in the browser's other store. */
async function adoptOld(): Promise<void> {
  for (const name of Object.keys(localStorage)) {
    const [prefix, scene, owner] = name.split(':');
    const text = localStorage.getItem(name);
    if (prefix !== LOCK || !scene || !owner || !text) continue;
    const old = JSON.parse(text) as { revision: number; document: SceneDoc };
    await inTurn(async () => {
      const tx = (await browserStore()).transaction('pending', 'readwrite', STRICT);
      void tx.store.put({ ...old, scene, tab: owner, keys: [], at: 0 });
      await tx.done;
    });
    localStorage.removeItem(name);
  }
}
