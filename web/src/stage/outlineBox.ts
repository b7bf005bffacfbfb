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

/** What of the smaller of two boxes the other one covers, 0 to 1. */
export function coverage(a: Box | null, b: Box | null): number {
  if (!a || !b) return 0;
  const across = Math.min(a[2], b[2]) - Math.max(a[0], b[0]);
  const down = Math.min(a[3], b[3]) - Math.max(a[1], b[1]);
  const least = Math.min(areaOf(a), areaOf(b));
  return across > 0 && down > 0 && least > 0 ? (across * down) / least : 0;
}

const areaOf = ([left, top, right, bottom]: Box) => (right - left) * (bottom - top);
