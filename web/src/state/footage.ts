import { useQuery } from '@tanstack/react-query';
import { create } from 'zustand';
import { api, ServerError, type KeptFootage } from '../api/client';
import { isReady } from '../stage/footage';
import { applyEdit, select, useEditor } from './editor';
import { newId } from './itemActions';
import { notify } from './notices';
import { refreshKept } from './pictures';
import { lasting, sendPieces, type Course } from './uploading';

/** What a browser's dialog offers. */
export const FOOTAGE_FILES =
  '.mp4,.mov,.m4v,.webm,.gif,.webp,.zip,video/mp4,video/quicktime,video/webm,image/gif,image/webp,application/zip';

const LARGEST = 2 * 2 ** 30;

/** A file on its way to the server. */
export interface Upload {
  key: string;
  name: string;
  /** 0 to 1. */
  done: number;
  /** The connection is lost: it goes on by itself. */
  waiting: boolean;
}

/** The files on their way. */
export const useUploads = create<{ all: Upload[] }>(() => ({ all: [] }));

const givenUp = new Set<string>();

/** Ends an upload; nothing of it is kept. */
export function giveUp(key: string): void {
  givenUp.add(key);
}

const change = (key: string, parts: Partial<Upload>) =>
  useUploads.setState((s) => ({
    all: s.all.map((u) => (u.key === key ? { ...u, ...parts } : u)),
  }));

/** The footage that the project keeps; asked for again while some of it is being prepared. */
export function useFootage() {
  const project = useEditor((s) => s.projectId);
  return useQuery({
    queryKey: ['footage', project],
    queryFn: async () => {
      const all = await api.footage(project!);
      all.filter((f) => f.state === 'ready').forEach((f) => isReady(f.id));
      return all;
    },
    enabled: project !== null,
    refetchInterval: (query) =>
      query.state.data?.some((f) => f.state === 'preparing') ? 700 : false,
  });
}

const isGif = (f: File) => f.type === 'image/gif' || /\.gif$/i.test(f.name);

/** Whether a file is footage by what it is called; of a GIF or a WebP, if it moves. */
export async function isFootage(f: File): Promise<boolean> {
  if (isGif(f)) return moves(f);
  if (f.type === 'image/webp' || /\.webp$/i.test(f.name)) return isAnimated(f);
  return f.type.startsWith('video/') || /\.(mp4|mov|m4v|webm|zip)$/i.test(f.name);
}

/** Whether a WebP says of itself that it is animated; see RFC 9649, 2.7. */
async function isAnimated(file: File): Promise<boolean> {
  const head = new Uint8Array(await file.slice(0, 21).arrayBuffer());
  return (
    head.length > 20 &&
    String.fromCharCode(...head.slice(12, 16)) === 'VP8X' &&
    (head[20]! & 2) !== 0
  );
}

/** Whether a GIF has more than one frame: each says before it how long it stands. */
async function moves(file: File): Promise<boolean> {
  const bytes = new Uint8Array(await file.slice(0, 20_000_000).arrayBuffer());
  let found = 0;
  for (let i = 0; i + 2 < bytes.length && found < 2; i++) {
    if (bytes[i] === 0x21 && bytes[i + 1] === 0xf9 && bytes[i + 2] === 4) found++;
  }
  return found > 1;
}

/** Takes in footage, each as an item with its middle at a place, else in the frame's. */
export async function addFootageFiles(files: File[], at?: [number, number]): Promise<void> {
  const scene = useEditor.getState().sceneId;
  for (const file of files) {
    const kept = await keep(file);
    refreshKept();
    // Another scene may have been opened meanwhile: the project has it, that is enough.
    if (kept && useEditor.getState().sceneId === scene) addFootage(kept, at);
  }
}

/** Adds kept footage as an item and opens Dress. */
export function addFootage(kept: KeptFootage, at?: [number, number]): void {
  const id = newId();
  const place = at ? { x: at[0], y: at[1] } : {};
  const edit = { op: 'addFootage' as const, id, name: kept.name, ...factsOf(kept), ...place };
  if (applyEdit(edit).length > 0) return;
  select(id);
  useEditor.setState({ tab: 'dress' });
}

const factsOf = (kept: KeptFootage) => ({
  image: kept.id,
  pixelWidth: kept.width,
  pixelHeight: kept.height,
  rate: kept.rate,
  length: kept.length,
});

/** Puts a file in the place of an item's footage. */
export async function replaceFootage(item: string, file: File): Promise<void> {
  const kept = await keep(file);
  refreshKept();
  if (kept) applyEdit({ op: 'replaceFootage', item, ...factsOf(kept) });
}

/** Uploads a file; null, and a word on it, if it cannot be used or was given up. */
async function keep(file: File): Promise<KeptFootage | null> {
  const project = useEditor.getState().projectId;
  if (!project) return null;
  if (file.size > LARGEST) {
    notify(`${file.name} has more than 2 GB; make it smaller, or cut it.`, 'error');
    return null;
  }
  const key = newId();
  const name = file.name.replace(/\.[a-z0-9]+$/i, '').slice(0, 200);
  useUploads.setState((s) => ({ all: [...s.all, { key, name, done: 0, waiting: false }] }));
  try {
    return await upload(key, project, name, file);
  } catch (e) {
    notify(`${file.name}: ${e instanceof Error ? e.message : 'it could not be kept'}`, 'error');
    return null;
  } finally {
    useUploads.setState((s) => ({ all: s.all.filter((u) => u.key !== key) }));
  }
}

async function upload(
  key: string,
  project: string,
  name: string,
  file: File,
): Promise<KeptFootage | null> {
  const course: Course = {
    done: (done) => change(key, { done }),
    waiting: (waiting) => change(key, { waiting }),
    givenUp: () => givenUp.has(key),
  };
  const begin = () => api.beginUpload(project, name, file.size);
  const id = await sendPieces(file, begin, course);
  if (id === null) return null;
  const kept = await lasting(course, () => api.endUpload(id, useEditor.getState().doc?.rate));
  isReady(kept.id);
  return kept;
}

/**
 * Takes footage out of the project's list.
 *
 * @param even whether scenes may show it
 * @returns where it is shown, in words, if it was left there for that
 */
export async function removeFootage(footage: KeptFootage, even: boolean): Promise<string | null> {
  const project = useEditor.getState().projectId;
  if (!project) return null;
  try {
    await api.removeFootage(project, footage.id, even);
  } catch (e) {
    if (e instanceof ServerError && e.status === 409) return e.message;
    notify(e instanceof Error ? e.message : 'The footage could not be removed', 'error');
  }
  refreshKept();
  return null;
}
