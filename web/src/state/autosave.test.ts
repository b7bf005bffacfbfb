import 'fake-indexeddb/auto';
import { letteringsOf } from './items';
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import type { SceneDoc } from '../core/document';
import { EMPTY_RUN, lettering, scene } from '../testing';
import { browserStore, type Pending } from './browserStore';
import { endGesture, redo, undo, useEditor } from './editor';
import { changeLettering } from './values';
import { openScene, resolveConflict, startKeeping, takeOffer, useKeeper } from './autosave';
import { useNotices } from './notices';

/** A server with one scene, which can be away, or changed by someone else. */
const server = {
  revision: 1,
  document: scene(),
  away: false,
  refuses: false,
  puts: 0,
  /** Saves are kept, and their answers lost. */
  mute: false,
  keys: new Map<number, string>(),
};
const store = new Map<string, string>();

const answer = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': status < 400 ? 'application/json' : 'application/problem+json' },
  });
const kept = () => ({
  id: 's',
  projectId: 'project',
  revision: server.revision,
  document: server.document,
  savedAt: '2026-01-01T00:00:00Z',
});

async function fakeFetch(url: string, init?: RequestInit): Promise<Response> {
  if (url.includes('/shape')) {
    const asked = JSON.parse(String(init?.body ?? '[]')) as unknown[];
    return answer(asked.map(() => EMPTY_RUN));
  }
  if (server.away) throw new TypeError('no server');
  if (init?.method !== 'PUT') return answer(kept());
  server.puts++;
  if (server.refuses) return answer({ title: 'Too large', status: 413 }, 413);
  const headers = new Headers(init.headers);
  const based = headers.get('If-Match');
  const key = headers.get('Idempotency-Key') ?? '';
  if (based !== `"${server.revision}"`) {
    const again = [...server.keys].find(([, k]) => k === key);
    if (again) return answer({ revision: again[0] });
    const first = Number(based?.replace(/"/g, '')) + 1;
    const keysSince = [];
    for (let r = first; r <= server.revision; r++) keysSince.push(server.keys.get(r) ?? '');
    const more = { revision: server.revision, keysSince };
    return answer({ title: 'Changed', status: 412, ...more }, 412);
  }
  server.revision++;
  server.keys.set(server.revision, key);
  server.document = JSON.parse(String(init.body)) as SceneDoc;
  if (server.mute) throw new TypeError('the answer is lost');
  return answer(kept());
}

const alive: string[] = [];
/** What lies in the browser's own database. */
const pending = async () => (await browserStore()).getAll('pending');
const put = async (p: Partial<Pending>) =>
  (await browserStore()).put('pending', {
    scene: 's',
    tab: 'gone',
    revision: 1,
    keys: [],
    at: 1,
    document: scene(),
    ...p,
  });
const filled = (colour: string) => scene({ items: [lettering({ fill: colour })] });

const fill = () => letteringsOf(server.document)[0]?.fill;
const state = () => useKeeper.getState().state;
const until = (wanted: string) => vi.waitFor(() => expect(state()).toBe(wanted), 4000);

beforeAll(() => {
  vi.stubGlobal('window', globalThis);
  vi.stubGlobal('addEventListener', () => undefined);
  vi.stubGlobal('fetch', fakeFetch);
  const local = {
    getItem: (k: string) => store.get(k) ?? null,
    setItem: (k: string, v: string) => store.set(k, v),
    removeItem: (k: string) => store.delete(k),
  };
  // Object.keys of a browser's store are the names in it.
  vi.stubGlobal(
    'localStorage',
    new Proxy(local, {
      ownKeys: () => [...store.keys()],
      getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
    }),
  );
  vi.stubGlobal('navigator', {
    locks: { query: async () => ({ held: alive.map((name) => ({ name })) }) },
  });
  startKeeping();
});

beforeEach(async () => {
  store.clear();
  alive.length = 0;
  Object.assign(server, { revision: 1, document: scene(), away: false, refuses: false, puts: 0 });
  Object.assign(server, { mute: false, keys: new Map() });
  useEditor.setState({ doc: null, sceneId: null, drawing: null });
  useKeeper.setState({ state: 'kept', theirs: null, offers: [] });
  const db = await browserStore();
  await Promise.all((['pending', 'visits', 'steps'] as const).map((name) => db.clear(name)));
  useNotices.setState({ notices: [] });
  await openScene('s');
  await vi.waitFor(() => expect(useEditor.getState().summary).not.toBeNull());
  endGesture();
});

describe('keeping', () => {
  it('sends a change soon and forgets the copy in the browser', async () => {
    changeLettering('l', { fill: '#112233' });
    expect(state()).toBe('keeping');
    await vi.waitFor(async () => expect(await pending()).toHaveLength(1));
    await until('kept');
    expect(fill()).toBe('#112233');
    await vi.waitFor(async () => expect(await pending()).toHaveLength(0));
  });

  it('sends several quick changes as one', async () => {
    for (const f of ['#000001', '#000002', '#000003']) changeLettering('l', { fill: f });
    await until('kept');
    expect(server.puts).toBe(1);
    expect(fill()).toBe('#000003');
  });

  it('sends nothing for what was undone before it went', async () => {
    changeLettering('l', { fill: '#445566' });
    undo();
    await until('kept');
    expect(server.puts).toBe(0);
  });

  it('keeps work in the browser while the server is away, and sends it after', async () => {
    server.away = true;
    changeLettering('l', { fill: '#778899' });
    await until('away');
    expect(JSON.stringify(await pending())).toContain('#778899');
    server.away = false;
    await until('kept');
    expect(fill()).toBe('#778899');
  });

  it('takes up what an earlier page never sent', async () => {
    const found = scene();
    letteringsOf(found)[0]!.fill = '#ABCDEF';
    store.set('roving-pending:s:gone', JSON.stringify({ revision: 1, document: found }));
    await openScene('s');
    expect(letteringsOf(useEditor.getState().doc)[0]?.fill).toBe('#ABCDEF');
    await until('kept');
    expect(fill()).toBe('#ABCDEF');
  });

  it('says what the server refuses, and keeps it in the browser', async () => {
    server.refuses = true;
    changeLettering('l', { fill: '#010101' });
    await until('refused');
    expect(useNotices.getState().notices.at(-1)?.tone).toBe('error');
    expect(JSON.stringify(await pending())).toContain('#010101');
  });

  it('says that work is kept in the browser only when it is on its disk', async () => {
    server.away = true;
    changeLettering('l', { fill: '#010203' });
    await until('away');
    changeLettering('l', { fill: '#040506' });
    expect(state()).toBe('keeping');
    await until('away');
    expect(JSON.stringify(await pending())).toContain('#040506');
  });
});

describe('what pages that are gone have left', () => {
  it('goes on with its own work and offers that of others, losing neither', async () => {
    await put({ tab: 'aaa', document: filled('#00AAAA') });
    await put({ tab: 'tab', document: filled('#0000BB') });
    useEditor.setState({ doc: null, sceneId: null });
    await openScene('s');
    expect(letteringsOf(useEditor.getState().doc)[0]?.fill).toBe('#0000BB');
    const offers = useKeeper.getState().offers;
    expect(offers.map((o) => letteringsOf(o.document)[0]?.fill)).toEqual(['#00AAAA']);
    await until('kept');
    expect(fill()).toBe('#0000BB');
    expect((await pending()).map((p) => p.tab)).toEqual(['aaa']);
    await takeOffer(offers[0]!);
    await until('kept');
    await vi.waitFor(() => expect(fill()).toBe('#00AAAA'));
    await vi.waitFor(async () => expect(await pending()).toHaveLength(0));
    undo();
    expect(letteringsOf(useEditor.getState().doc)[0]?.fill).toBe('#0000BB');
  });

  it('offers each of several, and leaves those of living pages alone', async () => {
    await put({ tab: 'a', document: filled('#00000A'), at: 1 });
    await put({ tab: 'b', document: filled('#00000B'), at: 2 });
    await put({ tab: 'c', document: filled('#00000C'), at: 3 });
    alive.push('roving-pending:c');
    await openScene('s');
    expect(useKeeper.getState().offers.map((o) => o.tab)).toEqual(['b', 'a']);
    expect(state()).toBe('kept');
    expect(await pending()).toHaveLength(3);
  });
});

describe('an answer that is lost', () => {
  it('is no conflict with oneself, with nothing new and with more typed since', async () => {
    server.mute = true;
    changeLettering('l', { fill: '#0A0A0A' });
    await until('away');
    changeLettering('l', { fill: '#0B0B0B' });
    server.mute = false;
    await until('kept');
    expect(fill()).toBe('#0B0B0B');
    expect(useKeeper.getState().theirs).toBeNull();
  });

  it('is none after the page was ended in between either', async () => {
    server.mute = true;
    changeLettering('l', { fill: '#0C0C0C' });
    await until('away');
    server.mute = false;
    const left = (await pending())[0]!;
    server.away = true;
    useEditor.setState({ doc: null, sceneId: null });
    server.away = false;
    await put({ ...left, document: filled('#0D0D0D') });
    await openScene('s');
    await until('kept');
    expect(fill()).toBe('#0D0D0D');
    expect(useKeeper.getState().theirs).toBeNull();
  });
});

describe('undo', () => {
  it('reaches back into earlier visits of the scene', async () => {
    changeLettering('l', { fill: '#111111' });
    endGesture();
    changeLettering('l', { fill: '#222222' });
    endGesture();
    undo();
    await until('kept');
    await openScene('s');
    expect(letteringsOf(useEditor.getState().doc)[0]?.fill).toBe('#111111');
    redo();
    expect(letteringsOf(useEditor.getState().doc)[0]?.fill).toBe('#222222');
    undo();
    undo();
    expect(letteringsOf(useEditor.getState().doc)[0]?.fill).toBe('#1F2B37');
    await until('kept');
  });

  it('leads to how it was left where the scene was changed elsewhere since', async () => {
    changeLettering('l', { fill: '#333333' });
    await until('kept');
    server.revision++;
    server.document = filled('#444444');
    await openScene('s');
    expect(letteringsOf(useEditor.getState().doc)[0]?.fill).toBe('#444444');
    undo();
    expect(letteringsOf(useEditor.getState().doc)[0]?.fill).toBe('#333333');
    await until('kept');
  });
});

describe('two at once', () => {
  const conflict = async () => {
    server.revision = 5;
    server.document = scene({ name: 'Theirs' });
    changeLettering('l', { fill: '#AA0000' });
    await until('conflict');
  };

  it('asks whose version stands, and overwrites nothing meanwhile', async () => {
    await conflict();
    changeLettering('l', { fill: '#BB0000' });
    expect(server.document.name).toBe('Theirs');
    expect(useKeeper.getState().theirs?.document.name).toBe('Theirs');
  });

  it('sends mine where mine is to stand', async () => {
    await conflict();
    resolveConflict(true);
    await until('kept');
    expect(fill()).toBe('#AA0000');
    expect(server.revision).toBe(6);
  });

  it('shows theirs where theirs is to stand; undo brings mine back', async () => {
    await conflict();
    resolveConflict(false);
    expect(useEditor.getState().doc?.name).toBe('Theirs');
    undo();
    expect(letteringsOf(useEditor.getState().doc)[0]?.fill).toBe('#AA0000');
  });
});
