import { beforeEach, describe, expect, it, vi } from 'vitest';
import { letteringsOf } from './items';
import { EMPTY_RUN, lettering, scene } from '../testing';
import {
  applyEdit,
  replaceDoc,
  endGesture,
  problemText,
  redo,
  setTime,
  showScene,
  undo,
  useEditor,
} from './editor';
import { changeLettering, changeScene, setValue, toggleFlag } from './values';
import { onFrame } from '../core/core';
import { addLettering, addOnThisPath, removeItems, restack } from './itemActions';
import { addPath } from './paths';
import { useNotices } from './notices';

const state = () => useEditor.getState();
const first = () => letteringsOf(state().doc)[0]!;

beforeEach(async () => {
  vi.stubGlobal('fetch', async (_: string, init?: RequestInit) => {
    const asked = JSON.parse(String(init?.body ?? '[]')) as unknown[];
    return new Response(JSON.stringify(asked.map(() => EMPTY_RUN)));
  });
  vi.stubGlobal('requestAnimationFrame', () => 0);
  useNotices.setState({ notices: [] });
  showScene('s', 'project', scene());
  await vi.waitFor(() => expect(state().summary).not.toBeNull());
  endGesture();
});

describe('showing', () => {
  it('looks at a scene a third into it, also where it is edited before its words are there', async () => {
    useEditor.setState({ summary: null });
    showScene('other', 'project', scene({ items: [lettering({ text: 'not yet known' })] }));
    changeLettering('l', { fill: '#000000' });
    await vi.waitFor(() => expect(state().time).toBeCloseTo(4 / 3, 1));
    showScene('empty', 'project', scene({ paths: [], items: [], stack: [] }));
    await vi.waitFor(() => expect(state().summary?.items).toEqual({}));
    expect(state().time).toBe(0);
  });
});

describe('history', () => {
  it('undoes and redoes every step', () => {
    changeLettering('l', { fill: '#000000' });
    changeLettering('l', { fill: '#FFFFFF' });
    undo();
    expect(first().fill).toBe('#000000');
    undo();
    expect(first().fill).toBe('#1F2B37');
    undo();
    redo();
    redo();
    redo();
    expect(first().fill).toBe('#FFFFFF');
  });

  it('makes one step of a gesture, and another of the next', () => {
    for (const size of [50, 60, 70]) changeLettering('l', { size }, 'drag');
    endGesture();
    changeLettering('l', { size: 80 }, 'drag');
    undo();
    expect(first().size).toBe(70);
    undo();
    expect(first().size).toBe(100);
  });

  it('forgets what was undone once something else is done', () => {
    changeLettering('l', { size: 50 });
    undo();
    changeLettering('l', { size: 60 });
    redo();
    expect(first().size).toBe(60);
  });
});

describe('bad input', () => {
  it('changes nothing and is told', () => {
    const before = state().doc;
    const problems = changeScene({ length: -1 });
    expect(problems[0]?.path).toBe('$.length');
    expect(state().doc).toBe(before);
    expect(state().past).toHaveLength(0);
    expect(useNotices.getState().notices[0]?.tone).toBe('error');
  });

  it('is put in words without brackets', () => {
    const text = problemText({
      path: '$.letterings[0].size',
      reason: 'is -3, out of range',
      allowed: '1 to 4000',
    });
    expect(text).toBe('letterings 1, size is -3, out of range; allowed: 1 to 4000');
    expect(problemText({ path: '$', reason: 'is not JSON', allowed: '' })).toBe(
      'The scene is not JSON',
    );
  });
});

describe('values', () => {
  it('stay still when they are still', () => {
    setTime(1);
    setValue('l', 'size', 55);
    expect(first().size).toBe(55);
    expect(useNotices.getState().notices).toHaveLength(0);
  });

  it('get a keyframe at the playhead when they move, with a notice that undoes it', () => {
    applyEdit({ op: 'toggle', item: 'l', channel: 'size', time: 0 });
    setTime(2);
    setValue('l', 'size', 55);
    expect(state().summary?.items.l?.channels.size?.map((k) => k.value)).toEqual([100, 55]);
    const notice = useNotices.getState().notices[0]!;
    expect(notice.text).toContain('Keyframe set');
    notice.action?.run();
    expect(state().summary?.items.l?.channels.size).toHaveLength(1);
  });

  it('are shifted as a whole when asked', () => {
    applyEdit({ op: 'toggle', item: 'l', channel: 'rotation', time: 0 });
    applyEdit({ op: 'key', item: 'l', channel: 'rotation', time: 2, value: 90 });
    setTime(0);
    setValue('l', 'rotation', 10, true);
    expect(state().summary?.items.l?.channels.rotation?.map((k) => k.value)).toEqual([10, 100]);
  });

  it('have times on frames within the scene', () => {
    expect(onFrame(1.013)).toBeCloseTo(1, 9);
    expect(onFrame(-3)).toBe(0);
    expect(onFrame(99)).toBeCloseTo(3.96, 9);
  });
});

describe('making', () => {
  it('adds a lettering on a path of its own, and on the same one where that is asked', async () => {
    addOnThisPath();
    expect(letteringsOf(state().doc)[1]?.path).toBe('p');
    addLettering();
    expect(letteringsOf(state().doc)[2]?.path).toBe(state().doc!.paths[1]?.id);
    showScene('empty', 'project', scene({ paths: [], items: [], stack: [] }));
    addLettering();
    expect(state().doc!.paths[0]?.kind).toBe('circle');
    expect(state().selected).toBe(first().id);
    expect(state().tab).toBe('words');
  });

  it('seats the chosen lettering on a new path', () => {
    addPath('newShape', { kind: 'circle' });
    expect(first().path).toBe(state().doc!.paths[1]?.id);
  });

  it('removes an item and leaves its path', () => {
    removeItems(['l']);
    expect(state().doc!.paths).toHaveLength(1);
    expect(state().doc!.stack).toEqual([]);
  });

  it('reorders, hides and locks', () => {
    const doc = state().doc!;
    replaceDoc(
      { ...doc, items: [...doc.items, lettering({ id: 'm' })], stack: ['l', 'm'] },
      'Added a lettering',
    );
    restack('l', '', 1);
    expect(state().doc!.stack).toEqual(['m', 'l']);
    restack('l', '', -9);
    expect(state().doc!.stack).toEqual(['l', 'm']);
    toggleFlag('l', 'hidden');
    toggleFlag('l', 'locked');
    expect(first()).toMatchObject({ hidden: true, locked: true });
  });
});
