import { BLEND_MODES, BLUR_REACH, EffectKind } from '../core/generated/frame';
import { blursWell } from './smallBlurs';
import { dilation } from './svgFilters';
import type { Layer } from './frameReader';
import { dilate, gaussian } from './pixelEffects';

type LayerEffect = Layer['effects'][number];

/** A picture and where it lies on the whole picture, in canvas pixels. */
export interface Picture {
  canvas: HTMLCanvasElement;
  left: number;
  top: number;
}

/** An area of the whole picture, in canvas pixels. */
export interface Area {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Canvases to draw on that nobody needs at present. */
const free: HTMLCanvasElement[] = [];

/** The blend mode of a canvas for one of CSS. */
export function composite(blend: Layer['blend']): GlobalCompositeOperation {
  if (blend === 'normal') return 'source-over';
  return blend === 'plus-lighter' ? 'lighter' : blend;
}

/** Whether the browser's canvas has filters. */
export const HAS_FILTERS =
  typeof CanvasRenderingContext2D === 'undefined' || 'filter' in CanvasRenderingContext2D.prototype;

/**
 * What an effect makes of the picture of a layer: as the Java class LayerPicture does, step for
 * step. {@link done} takes the result back.
 *
 * @param scale canvas pixels per scene pixel
 * @param limits what is seen at most
 */
export function withEffect(p: Picture, e: LayerEffect, scale: number, limits: Area): Picture {
  const [a = 0, b = 0, c = 0, d = 0, f = 0] = e.numbers;
  if (e.kind === EffectKind.BLUR) return blurred(p, a * scale, limits);
  if (e.kind === EffectKind.INNER_GLOW) return glowing(p, a * scale, b, c, d, BLEND_MODES[f]!);
  return shaded(p, e.numbers, scale, limits);
}

function shaded(p: Picture, n: Float64Array, scale: number, limits: Area): Picture {
  const [x = 0, y = 0, radius = 0, deviation = 0, strength = 0, rgb = 0, alpha = 0, alone = 0] = n;
  const [dx, dy] = [x * scale, y * scale];
  const far = Math.max(Math.abs(dx), Math.abs(dy));
  const wide = grown(limits, far);
  const shape = spread(p, radius * scale, wide);
  const soft = coloured(shape, deviation * scale, strength, rgb, wide);
  const cast = grown(areaOf(soft), far);
  const out = drawn(within(alone ? cast : around(cast, areaOf(p)), limits), (g) => {
    draw(g, soft, { dx, dy, alpha });
    if (!alone) draw(g, p);
  });
  done(shape);
  done(soft);
  return out;
}

/** Gives a picture back that was made here. */
export function done(p: Picture): void {
  free.push(p.canvas);
}

/** A picture of an area, at least one pixel large. */
function drawn(area: Area, paint: (g: CanvasRenderingContext2D) => void): Picture {
  const canvas = free.pop() ?? document.createElement('canvas');
  // Setting the size clears it, too.
  canvas.width = Math.max(area.right - area.left, 1);
  canvas.height = Math.max(area.bottom - area.top, 1);
  const g = canvas.getContext('2d');
  if (!g) throw new Error('The browser gives no canvas for an effect');
  g.setTransform(1, 0, 0, 1, -area.left, -area.top);
  paint(g);
  return { canvas, left: area.left, top: area.top };
}

interface How {
  dx?: number;
  dy?: number;
  alpha?: number;
  mode?: GlobalCompositeOperation;
  filter?: string;
}

function draw(g: CanvasRenderingContext2D, p: Picture, how: How = {}): void {
  g.globalAlpha = how.alpha ?? 1;
  g.globalCompositeOperation = how.mode ?? 'source-over';
  if (how.filter) g.filter = how.filter;
  g.drawImage(p.canvas, p.left + (how.dx ?? 0), p.top + (how.dy ?? 0));
  if (how.filter) g.filter = 'none';
}

function areaOf(p: Picture): Area {
  const { left, top, canvas } = p;
  return { left, top, right: left + canvas.width, bottom: top + canvas.height };
}

/** An area with more on every side, in whole pixels. */
export function grown(a: Area, by: number): Area {
  const more = Math.ceil(by);
  return {
    left: a.left - more,
    top: a.top - more,
    right: a.right + more,
    bottom: a.bottom + more,
  };
}

function within(a: Area, b: Area): Area {
  return {
    left: Math.max(a.left, b.left),
    top: Math.max(a.top, b.top),
    right: Math.min(a.right, b.right),
    bottom: Math.min(a.bottom, b.bottom),
  };
}

function around(a: Area, b: Area): Area {
  return {
    left: Math.min(a.left, b.left),
    top: Math.min(a.top, b.top),
    right: Math.max(a.right, b.right),
    bottom: Math.max(a.bottom, b.bottom),
  };
}

type Rework = (rgba: Uint8ClampedArray, width: number, height: number) => void;

/** The picture with its pixels worked over, where the canvas has no filter for it. */
function reworked(p: Picture, area: Area, work: Rework): Picture {
  return drawn(area, (g) => {
    draw(g, p);
    const { width, height } = g.canvas;
    const pixels = g.getImageData(0, 0, width, height);
    work(pixels.data, width, height);
    g.putImageData(pixels, 0, 0);
  });
}

function blurred(p: Picture, deviation: number, limits: Area): Picture {
  const reach = BLUR_REACH * deviation;
  const area = within(grown(areaOf(p), reach), limits);
  if (HAS_FILTERS && blursWell(deviation))
    return drawn(area, (g) => draw(g, p, { filter: `blur(${deviation}px)` }));
  // What lies outside the limits is seen within them.
  const all = within(grown(areaOf(p), reach), grown(limits, reach));
  const out = reworked(p, all, (rgba, width, height) => gaussian(rgba, width, height, deviation));
  const seen = drawn(area, (g) => draw(g, out));
  done(out);
  return seen;
}

/** The shape dilated: by whole pixels, and by the share of one more. */
function spread(p: Picture, radius: number, limits: Area): Picture {
  const whole = Math.floor(radius);
  if (!HAS_FILTERS) {
    const area = within(grown(areaOf(p), radius), limits);
    const near = Math.round(radius);
    return reworked(p, area, (rgba, width, height) => dilate(rgba, width, height, near));
  }
  return drawn(within(grown(areaOf(p), radius), limits), (g) => {
    draw(g, p, { filter: dilation(whole) });
    if (radius > whole) draw(g, p, { filter: dilation(whole + 1), alpha: radius - whole });
  });
}

/** Its shape blurred, made stronger, and in one colour. */
function coloured(
  p: Picture,
  deviation: number,
  strength: number,
  rgb: number,
  limits: Area,
): Picture {
  const soft = blurred(p, deviation, limits);
  const out = drawn(areaOf(soft), (g) => {
    const whole = Math.floor(strength);
    for (let i = 0; i < whole; i++) draw(g, soft, { mode: 'lighter' });
    if (strength > whole) draw(g, soft, { mode: 'lighter', alpha: strength - whole });
    tint(g, rgb, 'source-in');
  });
  done(soft);
  return out;
}

function tint(g: CanvasRenderingContext2D, rgb: number, mode: GlobalCompositeOperation): void {
  g.globalAlpha = 1;
  g.globalCompositeOperation = mode;
  g.fillStyle = `#${rgb.toString(16).padStart(6, '0')}`;
  g.setTransform(1, 0, 0, 1, 0, 0);
  g.fillRect(0, 0, g.canvas.width, g.canvas.height);
}

/** A glow from its edge inwards. */
function glowing(
  p: Picture,
  deviation: number,
  strength: number,
  rgb: number,
  alpha: number,
  blend: Layer['blend'],
): Picture {
  const leftOut = drawn(grown(areaOf(p), BLUR_REACH * deviation), (g) => {
    const { e, f } = g.getTransform();
    tint(g, 0, 'copy');
    g.setTransform(1, 0, 0, 1, e, f);
    draw(g, p, { mode: 'destination-out' });
  });
  const light = coloured(leftOut, deviation, strength, rgb, areaOf(p));
  const inside = drawn(areaOf(p), (g) => {
    draw(g, light, { alpha });
    draw(g, p, { mode: 'destination-in' });
  });
  const out = drawn(areaOf(p), (g) => {
    draw(g, p);
    draw(g, inside, { mode: composite(blend) });
  });
  for (const q of [leftOut, light, inside]) done(q);
  return out;
}
