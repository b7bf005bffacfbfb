import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { SceneDoc } from '../core/document';

/**
 * Work on a scene that the server has not confirmed, of one tab. Each tab has its own: none ever
 * takes the place of another's.
 */
export interface Pending {
  scene: string;
  tab: string;
  /** The revision that it was made from. */
  revision: number;
  document: SceneDoc;
  /** Keys of saves that went out and were not answered, and of the next one. */
  keys: string[];
  /** When it was written, in ms since 1970. */
  at: number;
}

/** Where undo and redo of a scene stood when it was last worked on. */
export interface Visit {
  scene: string;
  /** Which of the kept steps is the present document. */
  at: number;
  /** The numbers of the first and the last step. */
  first: number;
  last: number;
}

/** A document that undo or redo lead to, and what led to it. */
interface Step {
  scene: string;
  step: number;
  document: SceneDoc;
  done?: string;
}

interface Store extends DBSchema {
  pending: { key: [string, string]; value: Pending; indexes: { scene: string } };
  visits: { key: string; value: Visit };
  steps: { key: [string, number]; value: Step };
}

let opened: Promise<IDBPDatabase<Store>> | undefined;

/** The browser's own database; rejects where the browser has none for this page. */
export function browserStore(): Promise<IDBPDatabase<Store>> {
  opened ??= openDB<Store>('roving-glyph', 1, {
    upgrade(db) {
      db.createObjectStore('pending', { keyPath: ['scene', 'tab'] }).createIndex('scene', 'scene');
      db.createObjectStore('visits', { keyPath: 'scene' });
      db.createObjectStore('steps', { keyPath: ['scene', 'step'] });
    },
    terminated() {
      opened = undefined;
    },
  });
  opened.catch(() => (opened = undefined));
  return opened;
}

/** Done only when it is on the disk: a browser killed right after has it still. */
export const STRICT = { durability: 'strict' } as const;
