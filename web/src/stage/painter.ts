import * as core from '../core/core';

let shapes: Path2D[] = [];
let shapesOf = -1;

/** The outlines of the scene as canvas paths, made anew only when they are others. */
function outlines(): Path2D[] {
  const version = core.outlinesVersion();
  if (version !== shapesOf) {
    shapes = Array.from({ length: core.outlineCount() }, (_, i) => new Path2D(core.outline(i)));
    shapesOf = version;
  }
  return shapes;
}

/**
 * Paints the frame of a time as the core lists it (see the Java class Frame), scaled to the canvas.
 * It decides nothing.
 */
export function paintFrame(
  canvas: HTMLCanvasElement,
  time: number,
  width: number,
  background: string | null,
): void {
  paintNumbers(canvas, core.frame(time), width, background);
}

/** How long the last blurred frame took, ms: while playing they are shown only if quick enough. */
let blurCost = 0;

/** The same, blurred by motion where the scene says so and there is time for it. */
export function paintBlurred(
  canvas: HTMLCanvasElement,
  time: number,
  width: number,
  background: string | null,
  atMost: number,
): void {
  const samples = core.blurSamples(time);
  if (samples === 0 || blurCost > atMost) {
    blurCost *= 0.98;
    paintFrame(canvas, time, width, background);
    return;
  }
  const began = performance.now();
  const g = canvas.getContext('2d', { willReadFrequently: true });
  if (!g) return;
  const sums = new Float32Array(canvas.width * canvas.height * 4);
  for (let i = 0; i < samples; i++) {
    paintNumbers(canvas, core.blurred(time, (i + 0.5) / samples - 0.5), width, background);
    const { data } = g.getImageData(0, 0, canvas.width, canvas.height);
    for (let k = 0; k < data.length; k += 4) {
      const a = data[k + 3]! / 255;
      sums[k]! += LINEAR[data[k]!]! * a;
      sums[k + 1]! += LINEAR[data[k + 1]!]! * a;
      sums[k + 2]! += LINEAR[data[k + 2]!]! * a;
      sums[k + 3]! += a;
    }
  }
  const mixed = g.createImageData(canvas.width, canvas.height);
  for (let k = 0; k < sums.length; k += 4) {
    const a = sums[k + 3]!;
    if (a === 0) continue;
    for (let c = 0; c < 3; c++) mixed.data[k + c] = ENCODED[Math.round((sums[k + c]! / a) * 4096)]!;
    mixed.data[k + 3] = Math.round((a / samples) * 255);
  }
  g.putImageData(mixed, 0, 0);
  blurCost = performance.now() - began;
}

/** sRGB to linear light and back, as the renderer has it (the Java class MotionBlur). */
const LINEAR = Float32Array.from({ length: 256 }, (_, i) =>
  i / 255 <= 0.04045 ? i / 255 / 12.92 : Math.pow((i / 255 + 0.055) / 1.055, 2.4),
);
const ENCODED = Uint8Array.from({ length: 4097 }, (_, i) => {
  const v = i / 4096;
  return Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * Math.pow(v, 1 / 2.4) - 0.055));
});

/** Pictures of faded groups, those in each other by depth. */
const layers: HTMLCanvasElement[] = [];

function layerOf(depth: number, like: HTMLCanvasElement): CanvasRenderingContext2D | null {
  const layer = (layers[depth] ??= document.createElement('canvas'));
  // Setting the size clears it, too.
  layer.width = like.width;
  layer.height = like.height;
  return layer.getContext('2d');
}

/** The kinds of entries that are no shapes; see the Java class Frame. */
const [STROKE, PUSH, POP] = [-1, -2, -3];

function paintNumbers(
  canvas: HTMLCanvasElement,
  n: Float64Array,
  width: number,
  background: string | null,
): void {
  let g = canvas.getContext('2d');
  if (!g) return;
  const below: [CanvasRenderingContext2D, number][] = [];
  const scale = canvas.width / width;
  g.setTransform(1, 0, 0, 1, 0, 0);
  g.globalAlpha = 1;
  g.clearRect(0, 0, canvas.width, canvas.height);
  if (background) {
    g.fillStyle = background;
    g.fillRect(0, 0, canvas.width, canvas.height);
  }
  g.setTransform(scale, 0, 0, scale, 0, 0);
  const paths = outlines();
  for (let i = 0; i < n.length;) {
    const [colour, alpha, count] = [n[i]!, n[i + 1]!, n[i + 2]!];
    i += 3;
    if (count === PUSH) {
      const layer = layerOf(below.length, canvas);
      if (!layer) return;
      below.push([g, alpha]);
      g = layer;
      g.setTransform(scale, 0, 0, scale, 0, 0);
      continue;
    }
    if (count === POP) {
      const [under, faded] = below.pop()!;
      under.globalAlpha = faded;
      under.setTransform(1, 0, 0, 1, 0, 0);
      under.drawImage(g.canvas, 0, 0);
      under.setTransform(scale, 0, 0, scale, 0, 0);
      g = under;
      continue;
    }
    g.globalAlpha = alpha;
    if (count === STROKE) {
      g.strokeStyle = `#${colour.toString(16).padStart(6, '0')}`;
      i = stroke(g, n, i);
      continue;
    }
    const area = new Path2D();
    for (let k = 0; k < count; k++) {
      if (n[i] === -1) {
        const end = i + 2 + n[i + 1]!;
        own(area, n, i + 2, end);
        i = end;
      } else {
        const [a, b, c, d, e, f] = n.subarray(i + 1, i + 7);
        area.addPath(paths[n[i]!]!, new DOMMatrix([a!, b!, c!, d!, e!, f!]));
        i += 7;
      }
    }
    g.fillStyle = `#${colour.toString(16).padStart(6, '0')}`;
    g.fill(area, 'nonzero');
  }
}

const CAPS: CanvasLineCap[] = ['butt', 'round', 'square'];

/** Draws a line; gives where its numbers end. */
function stroke(g: CanvasRenderingContext2D, n: Float64Array, from: number): number {
  const dashes = n[from + 2]!;
  const steps = from + 3 + dashes;
  const end = steps + 1 + n[steps]!;
  const line = new Path2D();
  own(line, n, steps + 1, end);
  g.lineWidth = n[from]!;
  g.lineCap = CAPS[n[from + 1]!] ?? 'butt';
  g.lineJoin = 'round';
  g.setLineDash([...n.subarray(from + 3, steps)]);
  g.stroke(line);
  return end;
}

/** An outline of this frame alone, from its numbers. */
function own(area: Path2D, n: Float64Array, from: number, to: number): void {
  for (let i = from; i < to;) {
    const kind = n[i++];
    if (kind === 0) area.moveTo(n[i++]!, n[i++]!);
    else if (kind === 1) area.lineTo(n[i++]!, n[i++]!);
    else if (kind === 2) area.quadraticCurveTo(n[i++]!, n[i++]!, n[i++]!, n[i++]!);
    else if (kind === 3) area.bezierCurveTo(n[i++]!, n[i++]!, n[i++]!, n[i++]!, n[i++]!, n[i++]!);
    else area.closePath();
  }
}
