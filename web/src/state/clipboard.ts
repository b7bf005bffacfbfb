import * as core from '../core/core';
import { applyEdit, select, selectAlso, useEditor } from './editor';
import { newId, removeItems } from './itemActions';
import { isLocked } from './items';
import { notify } from './notices';
import { chosenWith } from './values';

/** By which a text is known to be copied here; see the Java class Copies. */
const MARK = '"roving-glyph-copy"';

/** What was copied last in this window, for where the browser does not let the clipboard be read. */
let last: string | null = null;

const chosen = () => chosenWith(useEditor.getState().selected ?? '').filter(Boolean);

/** What is chosen as text for the clipboard; null where nothing is. */
export function copied(): string | null {
  const { summary } = useEditor.getState();
  // What was just added is not in the core yet while its words are on their way.
  const items = chosen().filter((id) => summary?.items[id]);
  if (items.length === 0) return null;
  const found = JSON.parse(core.copied(items)) as Record<string, unknown>;
  return JSON.stringify({ ...found, scene: useEditor.getState().sceneId });
}

const isFromHere = (text: string) => {
  try {
    return (JSON.parse(text) as { scene?: unknown }).scene === useEditor.getState().sceneId;
  } catch {
    // The core says what is wrong with it.
    return false;
  }
};

function isCopy(text: string): boolean {
  if (text.includes(MARK)) return true;
  notify('Only what was copied from a scene can be put in here. Words go into the Words sheet.');
  return false;
}

/** Puts what was copied into the scene and chooses it. A text from elsewhere is told apart in words. */
export function paste(text: string): void {
  if (isCopy(text)) adding({ op: 'paste', id: newId(), copied: text, same: isFromHere(text) });
}

/** Lets what is chosen move, or look, as what was copied does. */
function pasteOnto(text: string, part: 'motion' | 'look'): void {
  const { doc } = useEditor.getState();
  const items = chosen().filter((id) => !isLocked(doc, id));
  if (isCopy(text))
    applyEdit({ op: 'pasteOnto', items, copied: text, same: isFromHere(text), part });
}

/** Copies of what is chosen beside it, with paths of their own. */
export function duplicate(): void {
  const items = chosen();
  if (items.length > 0) adding({ op: 'duplicate', items, id: newId() });
}

/** Does an edit that brings items in, and chooses those that stand in no other new one. */
function adding(edit: core.EditOf<'paste'> | core.EditOf<'duplicate'>): void {
  const before = new Set(useEditor.getState().doc?.items.map((i) => i.id));
  if (applyEdit(edit).length > 0) return;
  const items = useEditor.getState().doc?.items ?? [];
  const added = items.filter((i) => !before.has(i.id));
  const within = new Set(added.flatMap((i) => (i.kind === 'group' ? i.members : [])));
  const [first, ...others] = added.filter((i) => !within.has(i.id)).reverse();
  if (!first) return;
  select(first.id);
  others.forEach((i) => selectAlso(i.id));
  const what = added.length === 1 ? 'It lies' : 'They lie';
  if (edit.op === 'duplicate') notify(`Duplicated. ${what} exactly over the first.`);
}

/** Takes what is chosen to the clipboard, by way of the browser's own copying. */
export const copyChosen = () => document.execCommand('copy');
export const cutChosen = () => document.execCommand('cut');

/** Does something with the clipboard's text, or with what was copied last where it cannot be read. */
function withClipboard(use: (text: string) => void): void {
  navigator.clipboard.readText().then(use, () => {
    if (last !== null) use(last);
    else notify('The browser does not let the clipboard be read here: press Ctrl V.');
  });
}

export const pasteHere = () => withClipboard(paste);
export const pasteMotion = () => withClipboard((text) => pasteOnto(text, 'motion'));
export const pasteLook = () => withClipboard((text) => pasteOnto(text, 'look'));

/** Whether the keys of the clipboard are about a text that is typed or marked. */
function isAboutText(target: EventTarget | null): boolean {
  const typing = target instanceof HTMLElement && target.matches('input, textarea');
  return typing || (getSelection()?.toString() ?? '') !== '';
}

/** Lets the browser's copying, cutting and pasting be about what is chosen. Gives what ends it. */
export function watchClipboard(): () => void {
  const out = (e: ClipboardEvent) => {
    if (isAboutText(e.target) || document.querySelector('[role=dialog]')) return;
    const text = copied();
    if (text === null || !e.clipboardData) return;
    e.preventDefault();
    last = text;
    e.clipboardData.setData('text/plain', text);
    if (e.type === 'cut') removeItems(chosen());
  };
  const back = (e: ClipboardEvent) => {
    const text = e.clipboardData?.getData('text/plain') ?? '';
    // Files are pictures and footage, which the stage takes in.
    if (text === '' || e.clipboardData?.files.length || useEditor.getState().drawing) return;
    if (isAboutText(e.target) || document.querySelector('[role=dialog]')) return;
    e.preventDefault();
    paste(text);
  };
  document.addEventListener('copy', out);
  document.addEventListener('cut', out);
  document.addEventListener('paste', back);
  return () => {
    document.removeEventListener('copy', out);
    document.removeEventListener('cut', out);
    document.removeEventListener('paste', back);
  };
}
