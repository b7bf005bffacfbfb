import { beforeEach, expect, it, vi } from 'vitest';
import type { DrawingItem } from '../core/document';
import { EMPTY_RUN, lettering, scene } from '../testing';
import { chartedOf } from './channels';
import { applyEdit, select, selectAlso, showScene, undo, useEditor } from './editor';
import { groupOf, isLocked, nameOf } from './items';
import { groupChosen, removeItems, restack, ungroup } from './itemActions';
import { changeItem, toggleFlag } from './values';

const state = () => useEditor.getState();
const picture = (id: string): DrawingItem => ({
  kind: 'drawing',
  id,
  name: `Picture ${id}`,
  parts: [{ d: 'M0 0H9V9Z', fill: '#112233' }],
  x: 0,
  y: 0,
  scale: 1,
  rotation: 0,
  opacity: 100,
  hidden: false,
  locked: false,
});

beforeEach(() => {
  vi.stubGlobal('fetch', async (_: string, init?: RequestInit) => {
    const asked = JSON.parse(String(init?.body ?? '[]')) as unknown[];
    return new Response(JSON.stringify(asked.map(() => EMPTY_RUN)));
  });
  showScene(
    's',
    'project',
    scene({ items: [picture('a'), lettering(), picture('b')], stack: ['a', 'l', 'b'] }),
  );
  return vi.waitFor(() => expect(state().summary?.items.a).toBeDefined());
});

it('groups what is chosen, in one step that can be undone', () => {
  select('b');
  selectAlso('a');
  groupChosen();
  const id = state().selected!;
  expect(groupOf(state().doc, id)).toMatchObject({ name: 'Group 1', members: ['a', 'b'] });
  expect(state().doc!.stack).toEqual(['l', id]);
  expect(state().also).toEqual([]);
  expect(chartedOf(state())).toBe('x');
  undo();
  expect(state().doc!.stack).toEqual(['a', 'l', 'b']);
});

it('takes a group apart and moves items in and out', () => {
  select('b');
  groupChosen();
  const id = state().selected!;
  restack('a', id, 0);
  expect(groupOf(state().doc, id)?.members).toEqual(['a', 'b']);
  restack('l', id);
  expect(groupOf(state().doc, id)?.members).toEqual(['a', 'b', 'l']);
  restack('l', '', 0);
  changeItem(id, { name: 'Badge' });
  expect(nameOf(state().doc, id)).toBe('Badge');
  ungroup(id);
  expect(state().doc!.stack).toEqual(['l', 'a', 'b']);
  expect(state().selected).toBe('a');
});

it('locks what is in a locked group, and removes it along', () => {
  select('b');
  groupChosen();
  const id = state().selected!;
  toggleFlag(id, 'locked');
  expect(isLocked(state().doc, 'b')).toBe(true);
  expect(isLocked(state().doc, 'a')).toBe(false);
  removeItems([id]);
  expect(state().doc!.items.map((p) => p.id)).toEqual(['a', 'l']);
});

it('drops an item from those chosen when it is chosen again', () => {
  select('b');
  selectAlso('a');
  selectAlso('a');
  selectAlso('b');
  expect(state().also).toEqual([]);
});

it('opens a scene on its topmost lettering, also where that is in a group', () => {
  select('l');
  groupChosen();
  showScene('s', 'project', state().doc!);
  expect(state().selected).toBe('l');
});

it('charts a value that moves when an item is chosen', () => {
  applyEdit({ op: 'key', item: 'a', channel: 'scale', time: 1, value: 2 });
  useEditor.setState({ charted: 'rotation' });
  select('a');
  expect(state().charted).toBe('scale');
  useEditor.setState({ charted: 'opacity' });
  select('b');
  expect(state().charted).toBe('opacity');
});
