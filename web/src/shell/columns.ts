import { create } from 'zustand';

export type Side = 'sheet' | 'journey';

/** Widths of the side columns in px: as they begin, and between which they can be dragged. */
export const WIDTHS: Record<Side, { start: number; least: number; most: number }> = {
  sheet: { start: 268, least: 230, most: 420 },
  journey: { start: 348, least: 300, most: 640 },
};

interface Column {
  width: number;
  hidden: boolean;
}

const KEY = 'roving-columns';

function kept(): Partial<Record<Side, Column>> {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Record<Side, Column>>;
  } catch {
    return {};
  }
}

/** How wide the side columns are; kept by the browser, no part of the document. */
export const useColumns = create<Record<Side, Column>>(() => {
  const before = kept();
  return { sheet: begin('sheet', before.sheet), journey: begin('journey', before.journey) };
});

function begin(side: Side, before: Column | undefined): Column {
  const width = Number(before?.width);
  return {
    width: Number.isFinite(width) ? within(side, width) : WIDTHS[side].start,
    hidden: before?.hidden === true,
  };
}

function within(side: Side, width: number): number {
  return Math.min(Math.max(width, WIDTHS[side].least), WIDTHS[side].most);
}

/** Resizes a column; far below its least width it is hidden. */
export function resize(side: Side, width: number): void {
  const { least } = WIDTHS[side];
  const hidden = width < least / 2;
  set(side, { width: hidden ? useColumns.getState()[side].width : within(side, width), hidden });
}

export function setHidden(side: Side, hidden: boolean): void {
  set(side, { ...useColumns.getState()[side], hidden });
}

function set(side: Side, column: Column): void {
  useColumns.setState({ [side]: column });
  localStorage.setItem(KEY, JSON.stringify(useColumns.getState()));
}
