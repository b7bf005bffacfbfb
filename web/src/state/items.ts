import type { Group, Lettering, Placed, SceneDoc } from '../core/document';

export function letteringOf(doc: SceneDoc | null, id: string | null): Lettering | undefined {
  return doc?.letterings.find((l) => l.id === id);
}

/** The picture or group with an id. */
export function placedOf(doc: SceneDoc | null, id: string | null): Placed | undefined {
  return doc?.pictures.find((p) => p.id === id) ?? groupOf(doc, id);
}

export function groupOf(doc: SceneDoc | null, id: string | null): Group | undefined {
  return doc?.groups?.find((g) => g.id === id);
}

/** The group that an item stands in. */
export function groupRound(doc: SceneDoc | null, id: string | null): Group | undefined {
  return doc?.groups?.find((g) => id !== null && g.members.includes(id));
}

/** The ids of some items and of all in those that are groups, back to front. */
export function inStack(doc: SceneDoc, ids: string[]): string[] {
  return ids.flatMap((id) => [id, ...inStack(doc, groupOf(doc, id)?.members ?? [])]);
}

/** Whether an item or a group round it is locked. */
export function isLocked(doc: SceneDoc | null, id: string): boolean {
  const round = groupRound(doc, id);
  const own = letteringOf(doc, id) ?? placedOf(doc, id);
  return own?.locked === true || (round !== undefined && isLocked(doc, round.id));
}

/** What an item is called in lists. */
export function nameOf(doc: SceneDoc | null, id: string): string {
  const lettering = letteringOf(doc, id);
  if (lettering) return lettering.text.trim().replace(/\n/g, ' ') || 'No words yet';
  return placedOf(doc, id)?.name ?? '';
}
