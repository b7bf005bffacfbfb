import * as core from '../core/core';
import type { Pair } from '../core/document';
import { bitmapOf } from './bitmaps';
import type { Bitmap } from './canvasSink';
import { frameOf, framesReady } from './footage';

/** Pixels along the longer side of a picture in which edges are looked for. */
const FINE = 960;

/** Pixels of the picture between points of a line that are kept. */
const STEP = 3;

/** Lines on a picture that cling to its edges, in the pixels round the item. */
export interface Wire {
  /** From one place to another, without the first. */
  line(from: Pair, to: Pair): Pair[];
}

/** The bitmap of a picture, or of the frame that footage shows. */
function bitmapAt(item: string, image: string, time: number): Bitmap | undefined {
  const moment = core.momentOf(item, time);
  if (Number.isNaN(moment)) return bitmapOf(image, FINE, FINE);
  const frame = frameOf(image, moment, FINE, FINE);
  return framesReady(time) ? frame : undefined;
}

/** Makes a picture ready for it; null while its bitmap is on its way. */
export function wireOf(item: string, image: string, time: number): Wire | null {
  const bitmap = bitmapAt(item, image, time);
  if (!bitmap) return null;
  const k = Math.min(1, FINE / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * k), Math.round(bitmap.height * k)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d');
  if (!context) return null;
  const { pattern } = bitmap;
  const [sx, sy] = [width / bitmap.width, height / bitmap.height];
  pattern.setTransform(new DOMMatrix([sx, 0, 0, sy, 0, 0]).translate(-1, -1));
  context.fillStyle = pattern;
  context.fillRect(0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  const rgb = new Float64Array(width * height);
  for (let i = 0; i < rgb.length; i++) {
    rgb[i] = (data[4 * i]! << 16) | (data[4 * i + 1]! << 8) | data[4 * i + 2]!;
  }
  core.traceIn(width, height, rgb);
  const out = [...core.pictureSquare(item, time)];
  const back = core.inverse(out);
  const map = (m: number[], x: number, y: number): Pair => [
    m[0]! * x + m[2]! * y + m[4]!,
    m[1]! * x + m[3]! * y + m[5]!,
  ];
  const inPicture = ([x, y]: Pair): Pair => {
    const [u, v] = map(back, x, y);
    return [u * width - 0.5, v * height - 0.5];
  };
  let begun: Pair = [NaN, NaN];
  return {
    line(from, to) {
      if (from[0] !== begun[0] || from[1] !== begun[1]) {
        core.traceFrom(...inPicture(from));
        begun = from;
      }
      const found = core.traceTo(...inPicture(to));
      const points: Pair[] = [];
      for (let i = STEP; i < found.length / 2 - STEP; i += STEP) {
        points.push(map(out, (found[2 * i]! + 0.5) / width, (found[2 * i + 1]! + 0.5) / height));
      }
      return [...points, to];
    },
  };
}
