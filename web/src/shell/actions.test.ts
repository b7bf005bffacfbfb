import { expect, it, vi } from 'vitest';
import type { Knot } from '../core/document';
import { useEditor } from '../state/editor';
import { keyWords } from '../ui/keyWords';
vi.hoisted(() => vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined }));
import { ACTIONS, DRAWING_ACTIONS, keyOf, runKey } from './actions';

it('has one action for each key, and one label for each action', () => {
  for (const table of [ACTIONS, DRAWING_ACTIONS]) {
    const keys = table.flatMap((a) => a.keys ?? []);
    expect(new Set(keys).size).toBe(keys.length);
    const labels = table.map((a) => `${a.group} ${a.label}`);
    expect(new Set(labels).size).toBe(labels.length);
  }
});

it.each([
  ['p', {}, 'p'],
  ['P', { shiftKey: true }, 'p'],
  ['Z', { ctrlKey: true, shiftKey: true }, 'ctrl+shift+z'],
  ['k', { metaKey: true }, 'ctrl+k'],
  ['?', { shiftKey: true }, '?'],
  ['Escape', {}, 'Escape'],
  [' ', {}, 'Space'],
])('reads the key %s', (key, more, wanted) => {
  const none = { ctrlKey: false, metaKey: false, shiftKey: false };
  expect(keyOf({ key, ...none, ...more })).toBe(wanted);
});

it.each([
  ['ctrl+shift+z', 'Ctrl Shift Z'],
  ['Escape', 'Esc'],
  [',', ','],
  ['+', '+'],
  ['Space', 'Space'],
])('writes the key %s', (key, words) => {
  expect(keyWords(key)).toBe(words);
});

it('does another thing of a key while a line is being drawn', () => {
  useEditor.setState({ tab: 'path', keys: [1, 2], drawing: null });
  expect(runKey('Escape')).toBe(true);
  expect(useEditor.getState().keys).toEqual([]);
  const knot = (x: number): Knot => ({ x, y: 0, in: [0, 0], out: [0, 0], kind: 'smooth' });
  useEditor.setState({ drawing: { mode: 'curve', knots: [knot(0), knot(1)], auto: true } });
  expect(runKey('Backspace')).toBe(true);
  expect(useEditor.getState().drawing?.knots).toHaveLength(1);
  expect(runKey('p')).toBe(false);
  expect(runKey('2')).toBe(true);
  useEditor.setState({ drawing: null });
});
