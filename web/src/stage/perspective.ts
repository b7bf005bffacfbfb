import { NEAREST } from '../core/generated/frame';

/** A map without perspective, as SVG's `matrix()` has it. */
export type Six = [a: number, b: number, c: number, d: number, e: number, f: number];

/** In canvas pixels, whole ones. */
interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** A part of a canvas, and the map that is right there. */
interface Tile extends Box {
  map: Six;
}

/** How far from its place what is painted under the map of a tile's middle may be, px. */
const EXACT = 0.05;

/** The least side of a tile, canvas pixels. */
const SMALLEST = 8;

/** Whether nine numbers, as the Java class Projection has them, are a map without perspective. */
export function isFlat(m: Float64Array): boolean {
  return m[6] === 0 && m[7] === 0 && m[8] === 1;
}

/** The map without perspective that does the same at a point and next to it. */
export function mapNear(m: Float64Array, x: number, y: number): Six {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0, g = 0, h = 0, i = 1] = m;
  if (isFlat(m)) return [a, b, c, d, e, f];
  const w = Math.max(g * x + h * y + i, NEAREST);
  const toX = (a * x + c * y + e) / w;
  const toY = (b * x + d * y + f) / w;
  const [ax, bx] = [(a - g * toX) / w, (b - g * toY) / w];
  const [cx, dx] = [(c - h * toX) / w, (d - h * toY) / w];
  return [ax, bx, cx, dx, toX - ax * x - cx * y, toY - bx * x - dx * y];
}

/** Where a map takes a point and a direction there, in degrees. */
export type Put = (x: number, y: number, angle?: number) => [x: number, y: number, angle: number];

/** Points and directions under a map in perspective. */
export function putThrough(m: Float64Array): Put {
  return (x, y, angle = 0) => {
    const [a, b, c, d, e, f] = mapNear(m, x, y);
    const turn = (angle * Math.PI) / 180;
    const [ux, uy] = [Math.cos(turn), Math.sin(turn)];
    const toAngle = (Math.atan2(b * ux + d * uy, a * ux + c * uy) * 180) / Math.PI;
    return [a * x + c * y + e, b * x + d * y + f, toAngle];
  };
}

/** The point that a map in perspective takes to another; that itself where the map is edge on. */
export function backThrough(m: Float64Array, x: number, y: number): [number, number] {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0, g = 0, h = 0, i = 1] = m;
  const p = new DOMMatrix([a, b, 0, g, c, d, 0, h, 0, 0, 1, 0, e, f, 0, i])
    .inverse()
    .transformPoint(new DOMPoint(x, y));
  const to: [number, number] = [p.x / p.w, p.y / p.w];
  return to.every(Number.isFinite) ? to : [x, y];
}

/**
 * Cuts a part of a canvas into tiles in each of which a map in perspective is nearly one without.
 *
 * @param scale canvas pixels per scene pixel, which the map goes to
 */
export function tiles(m: Float64Array, whole: Box, scale: number): Tile[] {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0, g = 0, h = 0, i = 1] = m;
  const back = new DOMMatrix([a, b, 0, g, c, d, 0, h, 0, 0, 1, 0, e, f, 0, i]).inverse();
  const steepest = Math.hypot(back.m14, back.m24) / scale;
  const out: Tile[] = [];
  const cut = (box: Box): void => {
    const [width, height] = [box.right - box.left, box.bottom - box.top];
    const x = (box.left + box.right) / 2 / scale;
    const y = (box.top + box.bottom) / 2 / scale;
    // One part in so many of how far away what is seen there is: it goes in a straight line.
    const near = back.m14 * x + back.m24 * y + back.m44;
    const varies = (steepest * Math.hypot(width, height)) / 2;
    if (near + varies <= 0 || width <= 0 || height <= 0) return;
    const off = near <= varies ? Infinity : (varies / near) * (Math.hypot(width, height) / 2);
    if (off > EXACT && Math.max(width, height) > SMALLEST) {
      const across = width >= height;
      const middle = Math.floor(across ? box.left + width / 2 : box.top + height / 2);
      cut(across ? { ...box, right: middle } : { ...box, bottom: middle });
      cut(across ? { ...box, left: middle } : { ...box, top: middle });
      return;
    }
    if (near <= 0) return;
    const fromX = (back.m11 * x + back.m21 * y + back.m41) / near;
    const fromY = (back.m12 * x + back.m22 * y + back.m42) / near;
    out.push({ ...box, map: mapNear(m, fromX, fromY) });
  };
  cut(whole);
  return out;
}

/** The box of what a map makes of the unit square within another; that where it is not all seen. */
export function boxOfSquare(m: Float64Array, within: Box, scale: number): Box {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0, g = 0, h = 0, i = 1] = m;
  const out = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  for (const [x, y] of [
    [0, 0],
    [1, 0],
    [0, 1],
    [1, 1],
  ] as const) {
    const w = g * x + h * y + i;
    if (w < NEAREST) return within;
    const [toX, toY] = [((a * x + c * y + e) / w) * scale, ((b * x + d * y + f) / w) * scale];
    out.left = Math.min(out.left, Math.floor(toX) - 1);
    out.top = Math.min(out.top, Math.floor(toY) - 1);
    out.right = Math.max(out.right, Math.ceil(toX) + 1);
    out.bottom = Math.max(out.bottom, Math.ceil(toY) + 1);
  }
  return {
    left: Math.max(out.left, within.left),
    top: Math.max(out.top, within.top),
    right: Math.min(out.right, within.right),
    bottom: Math.min(out.bottom, within.bottom),
  };
}
