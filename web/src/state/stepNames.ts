import type { SceneDoc } from '../core/document';

const names = new WeakMap<SceneDoc, string>();

/** Notes what led to a document, such as "Moved a keyframe". */
export function nameStep(doc: SceneDoc, done: string): void {
  if (done) names.set(doc, done);
}

/** What led to a document; nothing where that was not noted. */
export const stepName = (doc: SceneDoc | undefined | null): string => (doc && names.get(doc)) ?? '';

/**
 * What was done from one document to the present one, by the steps of undo and redo, in one line.
 *
 * @param past the documents before the present one
 * @param future those that were undone
 */
export function doneSince(
  from: SceneDoc | null,
  doc: SceneDoc,
  past: SceneDoc[],
  future: SceneDoc[],
): string {
  const before = from ? past.lastIndexOf(from) : -1;
  if (before >= 0) return inOneLine([...past.slice(before + 1), doc]);
  const after = from ? future.indexOf(from) : -1;
  if (after < 0) return inOneLine([doc]);
  const undone = inOneLine(future.slice(0, after + 1));
  return undone && `Undone: ${undone.charAt(0).toLowerCase()}${undone.slice(1)}`;
}

const SHOWN = 3;

function inOneLine(steps: SceneDoc[]): string {
  const all = [...new Set(steps.map(stepName).filter(Boolean))];
  const more = all.length - SHOWN;
  const first = all.slice(0, SHOWN).map((n, i) => (i ? n.charAt(0).toLowerCase() + n.slice(1) : n));
  return first.join(', ') + (more > 0 ? `, and ${more} more` : '');
}
