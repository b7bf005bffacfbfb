import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import type { SceneDoc } from '../core/document';
import { EMPTY_RUN, scene } from '../testing';
import { endGesture, undo, useEditor } from './editor';
import { changeLettering } from './values';
import { openScene, resolveConflict, startKeeping, useKeeper } from './keeper';
import { useNotices } from './notices';

/** A server with one scene, which can be away, or changed by someone else. */
const server = { revision: 1, document: scene(), away: false, refuses: false, puts: 0 };
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
  const based = new Headers(init.headers).get('If-Match');
  if (based !== `"${server.revision}"`) return answer({ title: 'Changed', status: 412 }, 412);
  server.revision++;
  server.document = JSON.parse(String(init.body)) as SceneDoc;
  return answer(kept());
}

const fill = () => server.document.letterings[0]?.fill;
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
  vi.stubGlobal('navigator', { locks: { query: async () => ({ held: [] }) } });
  startKeeping();
});

beforeEach(async () => {
  store.clear();
  Object.assign(server, { revision: 1, document: scene(), away: false, refuses: false, puts: 0 });
  useEditor.setState({ doc: null, sceneId: null });
  useKeeper.setState({ state: 'kept', theirs: null });
  useNotices.setState({ notices: [] });
  await openScene('s');
  await vi.waitFor(() => expect(useEditor.getState().summary).not.toBeNull());
  endGesture();
});

describe('keeping', () => {
  it('sends a change soon and forgets the copy in the browser', async () => {
    changeLettering('l', { fill: '#112233' });
    expect(state()).toBe('keeping');
    expect(store.size).toBe(1);
    await until('kept');
    expect(fill()).toBe('#112233');
    expect(store.size).toBe(0);
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
    expect([...store.values()][0]).toContain('#778899');
    server.away = false;
    await until('kept');
    expect(fill()).toBe('#778899');
  });

  it('takes up what an earlier page never sent', async () => {
    const found = scene();
    found.letterings[0]!.fill = '#ABCDEF';
    store.set('roving-pending:s:gone', JSON.stringify({ revision: 1, document: found }));
    await openScene('s');
    expect(useEditor.getState().doc?.letterings[0]?.fill).toBe('#ABCDEF');
    await until('kept');
    expect(fill()).toBe('#ABCDEF');
  });

  it('says what the server refuses, and keeps it in the browser', async () => {
    server.refuses = true;
    changeLettering('l', { fill: '#010101' });
    await until('refused');
    expect(useNotices.getState().notices.at(-1)?.tone).toBe('error');
    expect([...store.values()][0]).toContain('#010101');
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
    expect(useEditor.getState().doc?.letterings[0]?.fill).toBe('#AA0000');
  });
});
