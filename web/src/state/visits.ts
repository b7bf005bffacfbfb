import { complete } from '../core/core';
import type { SceneDoc } from '../core/document';
import { browserStore } from './browserStore';
import { nameStep, stepName } from './stepNames';

/** Steps of a scene that outlive its page; within a page there are as many as were made. */
const MOST = 200;

/** What they may take together, in characters: of long documents fewer are kept. */
const LONGEST = 20_000_000;

/** What undo and redo go through: documents before and after the present one. */
export interface Steps {
  past: SceneDoc[];
  future: SceneDoc[];
}

/** Documents as they lie in the store, by their number; those that are the same need no writing. */
const written = new Map<string, Map<number, SceneDoc>>();
/** The number of the first step in memory. */
const bases = new Map<string, number>();

let last: Promise<unknown> = Promise.resolve();

/** Keeps where undo and redo stand; what has not changed since the last time is not written. */
export function keepVisit(scene: string, doc: SceneDoc, { past, future }: Steps): Promise<void> {
  const base = bases.get(scene) ?? 0;
  const all = [...past, doc, ...future];
  const size = JSON.stringify(doc).length;
  const most = Math.max(5, Math.min(MOST, Math.floor(LONGEST / size)));
  const first = base + Math.max(0, past.length - most);
  const end = base + Math.min(all.length, past.length + 1 + most) - 1;
  const known = written.get(scene) ?? new Map<number, SceneDoc>();
  written.set(scene, known);
  const mine = last.then(async () => {
    const tx = (await browserStore()).transaction(['visits', 'steps'], 'readwrite');
    const steps = tx.objectStore('steps');
    for (let step = first; step <= end; step++) {
      const document = all[step - base]!;
      if (known.get(step) === document) continue;
      known.set(step, document);
      void steps.put({ scene, step, document, done: stepName(document) });
    }
    for (const step of [...known.keys()]) {
      if (step >= first && step <= end) continue;
      known.delete(step);
      void steps.delete([scene, step]);
    }
    void tx.objectStore('visits').put({ scene, at: base + past.length, first, last: end });
    await tx.done;
  });
  last = mine.catch(() => undefined);
  return mine.catch(() => undefined);
}

/**
 * The steps of earlier visits. Where the scene is another than it was left, how it was left is the
 * step before it.
 */
export async function earlierVisit(scene: string, doc: SceneDoc): Promise<Steps> {
  try {
    await last;
    const db = await browserStore();
    const visit = await db.get('visits', scene);
    if (!visit) return { past: [], future: [] };
    const range = IDBKeyRange.bound([scene, visit.first], [scene, visit.last]);
    const kept = await db.getAll('steps', range);
    // Those that an earlier version of this page kept are of an earlier version themselves.
    const documents = kept.map((k) => {
      const document = k.document.version === 2 ? k.document : complete(k.document);
      nameStep(document, k.done ?? '');
      return document;
    });
    const at = visit.at - visit.first;
    const left = documents[at];
    if (!left) return { past: [], future: [] };
    bases.set(scene, visit.first);
    written.set(scene, new Map(kept.map((k) => [k.step, k.document])));
    const same = JSON.stringify(left) === JSON.stringify(doc);
    if (same) nameStep(doc, stepName(left));
    return same
      ? { past: documents.slice(0, at), future: documents.slice(at + 1) }
      : { past: documents.slice(0, at + 1), future: [] };
  } catch {
    return { past: [], future: [] };
  }
}
