import { beforeEach, expect, it, vi } from 'vitest';

const store = new Map<string, string>();
vi.stubGlobal('localStorage', {
  getItem: (k: string) => store.get(k) ?? null,
  setItem: (k: string, v: string) => store.set(k, v),
});

/** The columns as a page just loaded has them. */
async function loaded() {
  vi.resetModules();
  return import('./columns');
}

beforeEach(() => store.clear());

it('keeps the widths within their limits and over a load', async () => {
  const before = await loaded();
  before.resize('journey', 500);
  before.resize('sheet', 9999);
  const { useColumns, WIDTHS } = await loaded();
  expect(useColumns.getState().journey).toEqual({ width: 500, hidden: false });
  expect(useColumns.getState().sheet.width).toBe(WIDTHS.sheet.most);
});

it('hides a column that is dragged shut, which comes back as wide as it was', async () => {
  const { resize, setHidden, useColumns } = await loaded();
  resize('sheet', 300);
  resize('sheet', 20);
  expect(useColumns.getState().sheet).toEqual({ width: 300, hidden: true });
  setHidden('sheet', false);
  expect(useColumns.getState().sheet).toEqual({ width: 300, hidden: false });
});

it('begins anew where what was kept makes no sense', async () => {
  store.set('roving-columns', '{"sheet":{"width":"wide"},"journey":7');
  const { useColumns, WIDTHS } = await loaded();
  expect(useColumns.getState().sheet.width).toBe(WIDTHS.sheet.start);
  store.set('roving-columns', '{"sheet":{"width":"wide"}}');
  expect((await loaded()).useColumns.getState().sheet.width).toBe(WIDTHS.sheet.start);
});
