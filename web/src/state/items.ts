import type {
  ColourField,
  DrawingItem,
  FilledPath,
  Footage,
  ForegroundCut,
  Group,
  Inset,
  Item,
  Lettering,
  Picture,
  Placed,
  SceneDoc,
} from '../core/document';

export function itemOf(doc: SceneDoc | null, id: string | null): Item | undefined {
  return doc?.items.find((i) => i.id === id);
}

/** All letterings, in the order of the document. */
export function letteringsOf(doc: SceneDoc | null): Lettering[] {
  return doc?.items.filter((i) => i.kind === 'lettering') ?? [];
}

export function letteringOf(doc: SceneDoc | null, id: string | null): Lettering | undefined {
  const item = itemOf(doc, id);
  return item?.kind === 'lettering' ? item : undefined;
}

const PLACED = new Set<Item['kind']>([
  'drawing',
  'group',
  'colour-field',
  'picture',
  'footage',
  'inset',
]);

/** The item with an id that is put somewhere as a whole: anything known but a lettering. */
export function placedOf(doc: SceneDoc | null, id: string | null): Placed | undefined {
  const item = itemOf(doc, id);
  const known = item && PLACED.has(item.kind);
  return known ? (item as Placed) : undefined;
}

/** The item with an id that is anything known but a lettering. */
export function shapeOf(
  doc: SceneDoc | null,
  id: string | null,
): Placed | FilledPath | ForegroundCut | undefined {
  return placedOf(doc, id) ?? filledPathOf(doc, id) ?? cutOf(doc, id);
}

export function drawingOf(doc: SceneDoc | null, id: string | null): DrawingItem | undefined {
  const item = itemOf(doc, id);
  return item?.kind === 'drawing' ? item : undefined;
}

export function fieldOf(doc: SceneDoc | null, id: string | null): ColourField | undefined {
  const item = itemOf(doc, id);
  return item?.kind === 'colour-field' ? item : undefined;
}

export function pictureOf(doc: SceneDoc | null, id: string | null): Picture | undefined {
  const item = itemOf(doc, id);
  return item?.kind === 'picture' ? item : undefined;
}

export function footageOf(doc: SceneDoc | null, id: string | null): Footage | undefined {
  const item = itemOf(doc, id);
  return item?.kind === 'footage' ? item : undefined;
}

/** A picture or footage: what has an image that can be cropped. */
export function bitmappedOf(
  doc: SceneDoc | null,
  id: string | null,
): Picture | Footage | undefined {
  return pictureOf(doc, id) ?? footageOf(doc, id);
}

export function filledPathOf(doc: SceneDoc | null, id: string | null): FilledPath | undefined {
  const item = itemOf(doc, id);
  return item?.kind === 'filled-path' ? item : undefined;
}

export function cutOf(doc: SceneDoc | null, id: string | null): ForegroundCut | undefined {
  const item = itemOf(doc, id);
  return item?.kind === 'foreground-cut' ? item : undefined;
}

export function insetOf(doc: SceneDoc | null, id: string | null): Inset | undefined {
  const item = itemOf(doc, id);
  return item?.kind === 'inset' ? item : undefined;
}

export function groupOf(doc: SceneDoc | null, id: string | null): Group | undefined {
  const item = itemOf(doc, id);
  return item?.kind === 'group' ? item : undefined;
}

/** The group that an item stands in. */
export function groupRound(doc: SceneDoc | null, id: string | null): Group | undefined {
  return doc?.items.find(
    (g): g is Group => g.kind === 'group' && id !== null && g.members.includes(id),
  );
}

/** The ids of some items and of all in those that are groups, back to front. */
export function inStack(doc: SceneDoc, ids: string[]): string[] {
  return ids.flatMap((id) => [id, ...inStack(doc, groupOf(doc, id)?.members ?? [])]);
}

/** Whether an item or a group round it is locked. */
export function isLocked(doc: SceneDoc | null, id: string): boolean {
  const round = groupRound(doc, id);
  return itemOf(doc, id)?.locked === true || (round !== undefined && isLocked(doc, round.id));
}

/** What an item is called in lists. */
export function nameOf(doc: SceneDoc | null, id: string): string {
  const item = itemOf(doc, id);
  if (item?.kind !== 'lettering') return item?.name ?? item?.kind ?? '';
  return item.name || item.text.trim().replace(/\n/g, ' ') || 'No words yet';
}
