import { useEditor } from '../state/editor';

/** What was opened or closed by hand, and how far each sheet was scrolled, while the page is open. */
const folds = new Map<string, boolean>();
const scrolls = new Map<string, number>();

/** A section of the open sheet, by its title. */
const keyOf = (title: string) => `${useEditor.getState().tab}/${title}`;

/** Whether a section was left open; undefined where it was never touched. */
export const foldOf = (title: string): boolean | undefined => folds.get(keyOf(title));

export function keepFold(title: string, open: boolean): void {
  folds.set(keyOf(title), open);
}

/** How far a sheet was scrolled when it was left, px. */
export const scrollOf = (sheet: string): number => scrolls.get(sheet) ?? 0;

export function keepScroll(sheet: string, top: number): void {
  scrolls.set(sheet, top);
}
