import { MITER_LIMIT, PaintKind } from '../core/generated/frame';
import { composite, done, grown, withEffect, type Picture } from './layerEffects';
import {
  addStep,
  type FramePaint,
  type FrameSink,
  type Layer,
  type LineStyle,
} from './frameReader';
import { boxOfSquare, isFlat, mapNear, tiles, type Six } from './perspective';
import { lightToOpacity } from './pixelEffects';

type Context = CanvasRenderingContext2D;

/** A canvas that is painted on, and where it lies on the whole picture, in its own pixels. */
interface Surface {
  g: Context;
  left: number;
  top: number;
  width: number;
  height: number;
}

/** A bitmap with one more pixel round it, as its edge is. */
export interface Bitmap {
  /** Without that, px. */
  width: number;
  height: number;
  pattern: CanvasPattern;
}

/**
 * The bitmap of a picture, by its index in the scene, that is right for so many pixels across and
 * down; none while it is on its way.
 */
export type Bitmaps = (
  index: number,
  moment: number,
  across: number,
  down: number,
) => Bitmap | undefined;

/** What is done with a layer when it ends. */
interface Open {
  surface: Surface;
  alpha: number;
  composite: GlobalCompositeOperation;
  effects: Layer['effects'];
  /** How far these reach, in canvas pixels. */
  reach: number;
  /** Whether it measures the layer below it instead of being seen. */
  matte: boolean;
  /** Whether by how light it is, not by how opaque. */
  luminance: boolean;
}

const CAPS: CanvasLineCap[] = ['butt', 'round', 'square'];
const JOINS: CanvasLineJoin[] = ['round', 'miter', 'bevel'];

/** Canvases of layers, those in each other by depth. */
const canvases: HTMLCanvasElement[] = [];

/** Colours as a canvas takes them: a scene has few, and each frame names them anew. */
const colours = new Map<number, string>();

function colour(rgb: number): string {
  let text = colours.get(rgb);
  if (!text) {
    text = `#${rgb.toString(16).padStart(6, '0')}`;
    if (colours.size > 5000) colours.clear();
    colours.set(rgb, text);
  }
  return text;
}

type Ends = [x0: number, y0: number, x1: number, y1: number];

/** A gradient from one point to another, or from its middle to one of its rim. */
function graded(g: Context, paint: FramePaint, [x0, y0, x1, y1]: Ends): CanvasGradient {
  const gradient =
    paint.kind === PaintKind.LINEAR
      ? g.createLinearGradient(x0, y0, x1, y1)
      : g.createRadialGradient(x0, y0, 0, x0, y0, Math.hypot(x1 - x0, y1 - y0));
  for (const s of paint.stops) {
    const alpha = Math.round(s.opacity * 255).toString(16);
    gradient.addColorStop(s.offset, colour(s.rgb) + alpha.padStart(2, '0'));
  }
  return gradient;
}

/** Makes a canvas as opaque as it is light. */
function measureLight(g: Context): void {
  const picture = g.getImageData(0, 0, g.canvas.width, g.canvas.height);
  lightToOpacity(picture.data);
  g.putImageData(picture, 0, 0);
}

/** Paints a display list on a canvas; it decides nothing. */
export class CanvasSink implements FrameSink {
  private readonly scale: number;
  private surface: Surface;
  private readonly below: Open[] = [];
  private area = new Path2D();
  /** One for all outlines: making a matrix for each takes longer than adding the outline. */
  private readonly map = { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };

  /**
   * @param outlines that the list names by index
   * @param bitmaps that the list names by index
   * @param part what the canvas shows of it
   */
  constructor(
    g: Context,
    private readonly outlines: Path2D[],
    private readonly bitmaps: Bitmaps,
    { left, top, scale }: { left: number; top: number; scale: number },
  ) {
    this.scale = scale;
    this.surface = { g, left, top, width: g.canvas.width, height: g.canvas.height };
    this.place();
  }

  /** Scene pixels to those of the present canvas. */
  private place(): void {
    const { g, left, top } = this.surface;
    g.setTransform(this.scale, 0, 0, this.scale, -left, -top);
  }

  outline(index: number, n: Float64Array, at: number): void {
    const { map } = this;
    map.a = n[at]!;
    map.b = n[at + 1]!;
    map.c = n[at + 2]!;
    map.d = n[at + 3]!;
    map.e = n[at + 4]!;
    map.f = n[at + 5]!;
    this.area.addPath(this.outlines[index]!, map);
  }

  step(kind: number, n: Float64Array, at: number): void {
    addStep(this.area, kind, n, at);
  }

  fill(paint: FramePaint): void {
    const { g } = this.surface;
    g.globalAlpha = paint.alpha;
    if (paint.kind === PaintKind.PLAIN) {
      g.fillStyle = colour(paint.rgb);
      g.fill(this.area, 'nonzero');
    } else if (paint.kind === PaintKind.IMAGE) {
      this.fillWithImage(g, paint);
    } else {
      this.fillGraded(g, paint);
    }
    this.area = new Path2D();
  }

  /** Nothing of a picture that is not there, or not yet. */
  private fillWithImage(g: Context, paint: FramePaint): void {
    const [a, b, c, d] = mapNear(paint.map, 0.5, 0.5);
    const across = Math.hypot(a, b) * this.scale;
    const down = Math.hypot(c, d) * this.scale;
    const bitmap = this.bitmaps(paint.image, paint.moment, across, down);
    if (!bitmap) return;
    const { width: w, height: h, pattern } = bitmap;
    this.inPerspective(paint, (map) => {
      const [a, b, c, d, e, f] = map;
      // Round the bitmap stands one pixel of its edge, so that it does not fade out there.
      pattern.setTransform(new DOMMatrix([a / w, b / w, c / h, d / h, e, f]).translate(-1, -1));
      g.fillStyle = pattern;
      g.fill(this.area, 'nonzero');
    });
  }

  private fillGraded(g: Context, paint: FramePaint): void {
    this.inPerspective(paint, (map) => this.fillWithGradient(g, paint, map));
  }

  /**
   * Fills the area under a map that may be one in perspective, which canvases have not: in tiles of
   * whole pixels, so that no edges show between them, each under the map as it is in its middle.
   */
  private inPerspective({ kind, map }: FramePaint, fill: (map: Six) => void): void {
    if (isFlat(map)) {
      fill(mapNear(map, 0, 0));
      return;
    }
    const { g, left, top, width, height } = this.surface;
    const { scale, area } = this;
    const all = { left, top, right: left + width, bottom: top + height };
    g.save();
    g.clip(area, 'nonzero');
    for (const t of tiles(
      map,
      kind === PaintKind.IMAGE ? boxOfSquare(map, all, scale) : all,
      scale,
    )) {
      this.area = new Path2D();
      const [w, h] = [t.right - t.left, t.bottom - t.top];
      this.area.rect(t.left / scale, t.top / scale, w / scale, h / scale);
      fill(t.map);
    }
    g.restore();
    this.area = area;
  }

  private fillWithGradient(g: Context, paint: FramePaint, map: Six): void {
    const [a, b, c, d, e, f] = map;
    if (Math.abs(a - d) + Math.abs(b + c) <= 1e-9 * (Math.abs(a) + Math.abs(b))) {
      g.fillStyle = graded(g, paint, [e, f, a + e, b + f]);
      g.fill(this.area, 'nonzero');
      return;
    }
    // Others have no map of their own on a canvas: all of it is mapped, and the area back.
    const area = new Path2D();
    area.addPath(this.area, new DOMMatrix([a, b, c, d, e, f]).inverse());
    g.transform(a, b, c, d, e, f);
    g.fillStyle = graded(g, paint, [0, 0, 1, 0]);
    g.fill(area, 'nonzero');
    this.place();
  }

  stroke(paint: FramePaint, line: LineStyle, map: ArrayLike<number>): void {
    const { g } = this.surface;
    g.globalAlpha = paint.alpha;
    g.strokeStyle = colour(paint.rgb);
    g.lineWidth = line.width;
    g.lineCap = CAPS[line.cap] ?? 'butt';
    g.lineJoin = JOINS[line.join] ?? 'round';
    g.miterLimit = MITER_LIMIT;
    g.setLineDash([...line.dash]);
    g.transform(map[0]!, map[1]!, map[2]!, map[3]!, map[4]!, map[5]!);
    g.stroke(this.area);
    this.place();
    this.area = new Path2D();
  }

  clip(): void {
    const { g } = this.surface;
    g.save();
    g.clip(this.area, 'nonzero');
    this.area = new Path2D();
  }

  unclip(): void {
    this.surface.g.restore();
  }

  push(layer: Layer): void {
    this.begin(layer.box, {
      alpha: layer.alpha,
      composite: composite(layer.blend),
      effects: layer.effects,
      reach: layer.reach * this.scale,
      matte: false,
      luminance: false,
    });
  }

  matte(inverted: boolean, luminance: boolean): void {
    const composite: GlobalCompositeOperation = inverted ? 'destination-out' : 'destination-in';
    const { left, top, width, height } = this.surface;
    const how = { alpha: 1, composite, effects: [], reach: 0, matte: true, luminance };
    this.open(left, top, width, height, how);
  }

  /**
   * Begins a canvas for what a layer holds: of the size of its box, as far as that can be seen in
   * what is below it, which a filter sees more of.
   */
  private begin(box: Float64Array, how: Omit<Open, 'surface'>): void {
    const { left, top, width, height } = this.surface;
    const more = Math.ceil(how.reach);
    const from = (at: number, least: number) => Math.max(Math.floor(at * this.scale) - 1, least);
    const to = (at: number, most: number) => Math.min(Math.ceil(at * this.scale) + 1, most);
    const l = from(box[0]!, left - more);
    const t = from(box[1]!, top - more);
    const r = to(box[2]!, left + width + more);
    const b = to(box[3]!, top + height + more);
    // One that holds nothing, or nothing here, is still to be ended.
    this.open(l, t, Math.max(r - l, 1), Math.max(b - t, 1), how);
  }

  private open(l: number, t: number, w: number, h: number, how: Omit<Open, 'surface'>): void {
    const canvas = (canvases[this.below.length] ??= document.createElement('canvas'));
    // Setting the size clears it, too.
    canvas.width = w;
    canvas.height = h;
    const g = canvas.getContext('2d');
    if (!g) throw new Error('The browser gives no canvas for a layer');
    this.below.push({ surface: this.surface, ...how });
    this.surface = { g, left: l, top: t, width: w, height: h };
    this.place();
  }

  pop(): void {
    const ended = this.below.pop()!;
    const above = this.surface;
    this.surface = ended.surface;
    const { g } = this.surface;
    if (ended.luminance) measureLight(above.g);
    g.globalAlpha = ended.alpha;
    g.globalCompositeOperation = ended.composite;
    this.put({ canvas: above.g.canvas, left: above.left, top: above.top }, ended);
    g.globalCompositeOperation = 'source-over';
    this.place();
    // A layer ends with what measures it.
    if (ended.matte) this.pop();
  }

  /** Puts the picture of a layer over what is below it, with what its effects make of it. */
  private put(layer: Picture, { effects, reach }: Open): void {
    const { g, left, top, width, height } = this.surface;
    const limits = grown({ left, top, right: left + width, bottom: top + height }, reach);
    let picture = layer;
    for (const e of effects) {
      const next = withEffect(picture, e, this.scale, limits);
      if (picture !== layer) done(picture);
      picture = next;
    }
    g.setTransform(1, 0, 0, 1, 0, 0);
    g.drawImage(picture.canvas, picture.left - left, picture.top - top);
    if (picture !== layer) done(picture);
  }
}
