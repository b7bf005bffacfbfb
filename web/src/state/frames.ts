import type { EditOf, Problem } from '../core/core';
import type { SceneDoc } from '../core/document';
import { applyEdit, undo, useEditor } from './editor';

/** Width and height of a frame, px. */
export type Size = [number, number];

/** Frames that are asked for often. */
export const FRAMES: { label: string; ratio: string; size: Size }[] = [
  { label: 'Wide', ratio: '16:9', size: [1920, 1080] },
  { label: 'Square', ratio: '1:1', size: [1080, 1080] },
  { label: 'Upright', ratio: '9:16', size: [1080, 1920] },
  { label: 'Portrait', ratio: '4:5', size: [1080, 1350] },
  { label: 'Wide, fine', ratio: '4K', size: [3840, 2160] },
];

const KEY = 'roving-frame';

export const sameSize = (a: Size, b: Size) => a[0] === b[0] && a[1] === b[1];

/** The frame of the last new scene; at first a wide one. */
export function lastFrame(): Size {
  const [width, height] = (localStorage.getItem(KEY) ?? '').split('x').map(Number);
  return width && height ? [width, height] : FRAMES[0]!.size;
}

export const rememberFrame = (size: Size) => localStorage.setItem(KEY, size.join('x'));

/** What becomes of what is in a scene whose frame becomes another one. */
export type Contents = EditOf<'reframe'>['contents'];

/** The scene as the last change of its frame left it. */
let left: SceneDoc | null = null;

/**
 * Gives the scene another frame. As long as nothing else was changed since, each further change is
 * one of the frame before the first: who tries several comes back to what there was.
 */
export function reframe([width, height]: Size, contents: Contents): Problem[] {
  if (left !== null && useEditor.getState().doc === left) undo();
  left = null;
  const { doc } = useEditor.getState();
  if (!doc || sameSize([doc.width, doc.height], [width, height])) return [];
  const problems = applyEdit({ op: 'reframe', width, height, contents });
  if (problems.length === 0) left = useEditor.getState().doc;
  return problems;
}
