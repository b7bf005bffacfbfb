import type { Box } from '../core/document';

/** The box round the points of outlines that consist of lines and curves; null where there are none. */
export function outlineBox(data: string): Box | null {
  const numbers = data.match(/-?[\d.]+/g)?.map(Number) ?? [];
  if (numbers.length < 2) return null;
  const box: Box = [Infinity, Infinity, -Infinity, -Infinity];
  numbers.forEach((v, i) => {
    const axis = i % 2;
    box[axis] = Math.min(box[axis]!, v);
    box[axis + 2] = Math.max(box[axis + 2]!, v);
  });
  return box;
}

/** Whether two boxes are one but for a share of their size: what is in them is in the same place. */
export function isSamePlace(a: Box | null, b: Box | null, share = 0.05): boolean {
  if (!a || !b) return false;
  const within = share * Math.max(b[2] - b[0], b[3] - b[1]);
  return a.every((v, i) => Math.abs(v - b[i]!) <= within);
}
