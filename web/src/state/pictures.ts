import { QueryClient, useQuery } from '@tanstack/react-query';
import { api, ServerError, type KeptPicture } from '../api/client';
import { isBack } from '../stage/bitmaps';
import { applyEdit, select, useEditor } from './editor';
import { newId } from './itemActions';
import { notify } from './notices';

/** What a browser's dialog offers; what a file is, the server tells from its content. */
export const PICTURE_FILES =
  '.png,.jpg,.jpeg,.webp,.avif,.gif,.svg,image/png,image/jpeg,image/webp,image/avif,image/gif,image/svg+xml';

const LARGEST = 40_000_000;

/** Between pictures that come together, px: so that each is seen. */
const STEP = 40;

/** The pictures that the project keeps. */
export function usePictures() {
  const project = useEditor((s) => s.projectId);
  return useQuery({
    queryKey: ['pictures', project],
    queryFn: () => api.pictures(project!),
    enabled: project !== null,
  });
}

/** What is asked of the server again once something of it has changed. */
let queries: QueryClient | null = null;

export function keepFresh(client: QueryClient): void {
  queries = client;
}

/** Asks again for what the project keeps. */
export function refreshKept(): void {
  void queries?.invalidateQueries({ queryKey: ['pictures'] });
  void queries?.invalidateQueries({ queryKey: ['footage'] });
}

const isPicture = (f: File) => f.type.startsWith('image/') || /\.(avif|webp|svg)$/i.test(f.name);

/** The pictures among files that were dropped or pasted. */
export function picturesOf(files: Iterable<File> | null | undefined): File[] {
  return [...(files ?? [])].filter(isPicture);
}

/** Keeps a file with the project; null, and a word on it, if it cannot be used. */
async function keep(file: File): Promise<KeptPicture | null> {
  const project = useEditor.getState().projectId;
  if (!project) return null;
  if (file.size > LARGEST) {
    notify(`${file.name} has more than 40 MB; make it smaller.`, 'error');
    return null;
  }
  try {
    const kept = await api.keepPicture(project, nameOf(file), file);
    isBack(kept.id);
    return kept;
  } catch (e) {
    notify(`${file.name}: ${e instanceof Error ? e.message : 'it could not be kept'}`, 'error');
    return null;
  }
}

/** Takes in picture files, each as an item with its middle at a place, else in the frame's. */
export async function addPictureFiles(files: File[], at?: [number, number]): Promise<void> {
  let placed = 0;
  const scene = useEditor.getState().sceneId;
  for (const [i, file] of files.entries()) {
    if (files.length > 1 || file.size > 2_000_000) {
      notify(`Taking in ${file.name}${files.length > 1 ? `, ${i + 1} of ${files.length}` : ''}`);
    }
    const stays = () => useEditor.getState().sceneId === scene;
    if (isSvg(file) && (await addDrawing(file, stays, at, STEP * placed))) {
      placed++;
      continue;
    }
    const kept = await keep(file);
    // Another scene may have been opened meanwhile: the project has the picture, that is enough.
    if (kept && stays()) addPicture(kept, at, STEP * placed++);
  }
  refreshKept();
}

const isSvg = (f: File) => f.type === 'image/svg+xml' || /\.svg$/i.test(f.name);

/**
 * Adds an SVG of plain shapes as a drawing, whose colours can be changed.
 *
 * @param stays whether the scene that it is for is still open
 * @returns false where it is no such file, and is to be kept as a picture
 */
async function addDrawing(
  file: File,
  stays: () => boolean,
  at: [number, number] | undefined,
  aside: number,
): Promise<boolean> {
  const { doc } = useEditor.getState();
  try {
    const { width, height, parts } = await api.svgDrawing(file);
    if (!doc || parts.length === 0) return false;
    const [x, y] = at ?? [doc.width / 2, doc.height / 2];
    const id = newId();
    const place = { width, height, x: x + aside, y: y + aside };
    if (!stays()) return true;
    if (applyEdit({ op: 'addDrawing', id, name: nameOf(file), parts, ...place }).length === 0) {
      select(id);
      useEditor.setState({ tab: 'dress' });
    }
    return true;
  } catch {
    // What is wrong with the file is told when it is kept.
    return false;
  }
}

/** What a file is called, without its extension. */
const nameOf = (file: File) => file.name.replace(/\.[a-z0-9]+$/i, '').slice(0, 200);

/** Adds a kept picture as an item and opens Dress. */
export function addPicture(kept: KeptPicture, at?: [number, number], aside = 0): void {
  const id = newId();
  const { doc } = useEditor.getState();
  if (!doc) return;
  const [x, y] = at ?? [doc.width / 2, doc.height / 2];
  const problems = applyEdit({
    op: 'addPicture',
    id,
    name: kept.name,
    image: kept.id,
    pixelWidth: kept.width,
    pixelHeight: kept.height,
    x: x + aside,
    y: y + aside,
  });
  if (problems.length > 0) return;
  select(id);
  useEditor.setState({ tab: 'dress' });
}

/** Puts a kept picture in the place of an item's. */
export function replaceWith(item: string, kept: KeptPicture): void {
  applyEdit({
    op: 'replacePicture',
    item,
    image: kept.id,
    pixelWidth: kept.width,
    pixelHeight: kept.height,
  });
}

/** The same from a file. */
export async function replaceWithFile(item: string, file: File): Promise<void> {
  const kept = await keep(file);
  refreshKept();
  if (kept) replaceWith(item, kept);
}

/**
 * Takes a picture out of the project's list.
 *
 * @param even whether scenes may show it
 * @returns where it is shown, in words, if it was left there for that
 */
export async function removePicture(picture: KeptPicture, even: boolean): Promise<string | null> {
  const project = useEditor.getState().projectId;
  if (!project) return null;
  try {
    await api.removePicture(project, picture.id, even);
  } catch (e) {
    if (e instanceof ServerError && e.status === 409) return e.message;
    notify(e instanceof Error ? e.message : 'The picture could not be removed', 'error');
  }
  refreshKept();
  return null;
}
