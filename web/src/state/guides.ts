import type { Guide, SceneDoc } from '../core/document';
import { applyEdit, preview, useEditor } from './editor';
import { newId } from './itemActions';

const get = useEditor.getState;

/** The guides that are shown and so caught on. */
export function usedGuides(doc: SceneDoc): Guide[] {
  return get().overlays.guides ? (doc.guides ?? []) : [];
}

/** Adds a guide, in the middle of the frame unless told where, and shows it; null if refused. */
export function addGuide(upright: boolean, at?: number): string | null {
  const { doc, overlays } = get();
  if (!doc) return null;
  if (!overlays.guides) useEditor.setState({ overlays: { ...overlays, guides: true } });
  const id = newId();
  const middle = (upright ? doc.width : doc.height) / 2;
  const problems = applyEdit({ op: 'addGuide', id, upright, at: at ?? middle });
  return problems.length === 0 ? id : null;
}

export function dragGuide(guide: string, at: number): void {
  preview({ op: 'moveGuide', guide, at }, `guide ${guide}`);
}

export function stepGuide({ id, at }: Guide, by: number): void {
  applyEdit({ op: 'moveGuide', guide: id, at: at + by }, `guide ${id}`);
}

export function deleteGuide(guide: string): void {
  applyEdit({ op: 'deleteGuide', guide });
}
