import * as core from '../core/core';
import { bitmapOf } from './bitmaps';
import { frameOf } from './footage';
import { CanvasSink, type Bitmaps } from './canvasSink';
import { pathOf, readFrame } from './frameReader';

const bitmaps: Bitmaps = (index, moment, across, down) =>
  moment < 0
    ? bitmapOf(core.image(index), across, down)
    : frameOf(core.image(index), moment, across, down);

let shapes: Path2D[] = [];
let shapesOf = -1;

/** The outlines of the scene as canvas paths, made anew only when they are others. */
function outlines(): Path2D[] {
  const version = core.outlinesVersion();
  if (version !== shapesOf) {
    shapes = Array.from({ length: core.outlineCount() }, (_, i) => pathOf(core.outline(i)));
    shapesOf = version;
  }
  return shapes;
}

/** The part of the picture that a canvas shows, in its own pixels. */
export interface Part {
  left: number;
  top: number;
  /** Canvas pixels per scene pixel. */
  scale: number;
}

/**
 * Paints the frame of a time as the core lists it (see the Java class Frame), scaled to the canvas,
 * or the part of it that is told. It decides nothing.
 */
export function paintFrame(
  canvas: HTMLCanvasElement,
  time: number,
  width: number,
  background: string | null,
  part?: Part,
): void {
  paintNumbers(canvas, core.frame(time), width, background, part);
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
  part?: Part,
): void {
  const samples = core.blurSamples(time);
  if (samples === 0 || blurCost > atMost) {
    blurCost *= 0.98;
    paintFrame(canvas, time, width, background, part);
    return;
  }
  const began = performance.now();
  const g = canvas.getContext('2d', { willReadFrequently: true });
  if (!g) return;
  const { light, values } = curves();
  const sums = new Float32Array(canvas.width * canvas.height * 4);
  for (let i = 0; i < samples; i++) {
    paintNumbers(canvas, core.blurred(time, (i + 0.5) / samples - 0.5), width, background, part);
    const { data } = g.getImageData(0, 0, canvas.width, canvas.height);
    for (let k = 0; k < data.length; k += 4) {
      const a = data[k + 3]! / 255;
      sums[k]! += light[data[k]!]! * a;
      sums[k + 1]! += light[data[k + 1]!]! * a;
      sums[k + 2]! += light[data[k + 2]!]! * a;
      sums[k + 3]! += a;
    }
  }
  const mixed = g.createImageData(canvas.width, canvas.height);
  for (let k = 0; k < sums.length; k += 4) {
    const a = sums[k + 3]!;
    if (a === 0) continue;
    for (let c = 0; c < 3; c++) mixed.data[k + c] = values[Math.round((sums[k + c]! / a) * STEPS)]!;
    mixed.data[k + 3] = Math.round((a / samples) * 255);
  }
  g.putImageData(mixed, 0, 0);
  blurCost = performance.now() - began;
}

const STEPS = 4096;

/** From sRGB to light and back, as the core has it. */
let known: { light: Float32Array; values: Uint8Array } | undefined;

function curves() {
  known ??= {
    light: Float32Array.from(core.light()),
    values: Uint8Array.from(core.lightValues(STEPS)),
  };
  return known;
}

function paintNumbers(
  canvas: HTMLCanvasElement,
  n: Float64Array,
  width: number,
  background: string | null,
  part: Part = { left: 0, top: 0, scale: canvas.width / width },
): void {
  const g = canvas.getContext('2d');
  if (!g) return;
  g.setTransform(1, 0, 0, 1, 0, 0);
  g.globalAlpha = 1;
  g.clearRect(0, 0, canvas.width, canvas.height);
  if (background) {
    g.fillStyle = background;
    g.fillRect(0, 0, canvas.width, canvas.height);
  }
  readFrame(n, new CanvasSink(g, outlines(), bitmaps, part));
}
