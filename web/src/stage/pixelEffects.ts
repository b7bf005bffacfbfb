/** Three box blurs after another are the Gaussian to about three percent (SVG, feGaussianBlur). */
const BOXES = 3;

/** Below this standard deviation boxes are too coarse: its weights are spelt out. */
const LEAST_FOR_BOXES = 2;

/**
 * Blurs pixels in place, where a canvas has no filter for it. Colours are weighted by their opacity,
 * beyond the edge there is nothing.
 *
 * @param rgba red, green, blue and opacity of each pixel, not multiplied
 * @param deviation in pixels; 0 changes nothing
 */
export function gaussian(
  rgba: Uint8ClampedArray,
  width: number,
  height: number,
  deviation: number,
): void {
  if (deviation <= 0) return;
  if (deviation < LEAST_FOR_BOXES) {
    weighted(rgba, width, height, deviation);
    return;
  }
  const boxes = boxesOf(deviation);
  const long = Math.max(width, height);
  const line = new Float32Array(long * 4);
  const out = new Float32Array(long * 4);
  const along = (count: number, start: number, step: number) => {
    for (let i = 0; i < count; i++) {
      const at = start + i * step;
      const alpha = rgba[at + 3]! / 255;
      for (let k = 0; k < 3; k++) line[4 * i + k] = rgba[at + k]! * alpha;
      line[4 * i + 3] = rgba[at + 3]!;
    }
    for (const box of boxes) average(line, out, count, box);
    for (let i = 0; i < count; i++) {
      const at = start + i * step;
      const alpha = line[4 * i + 3]! / 255;
      for (let k = 0; k < 3; k++) rgba[at + k] = alpha > 0 ? line[4 * i + k]! / alpha : 0;
      rgba[at + 3] = line[4 * i + 3]!;
    }
  };
  for (let y = 0; y < height; y++) along(width, 4 * y * width, 4);
  for (let x = 0; x < width; x++) along(height, 4 * x, 4 * width);
}

/** How far to the left a box begins, and of how many pixels it is. */
interface Box {
  left: number;
  size: number;
}

function boxesOf(deviation: number): Box[] {
  const d = Math.floor((deviation * 3 * Math.sqrt(2 * Math.PI)) / 4 + 0.5);
  if (d % 2 === 1) return Array<Box>(BOXES).fill({ left: (d - 1) / 2, size: d });
  // Of an even size, the middle lies between pixels: two to either side, and an odd one.
  return [
    { left: d / 2, size: d },
    { left: d / 2 - 1, size: d },
    { left: d / 2, size: d + 1 },
  ];
}

function average(line: Float32Array, out: Float32Array, count: number, { left, size }: Box): void {
  for (let k = 0; k < 4; k++) {
    let sum = 0;
    for (let i = -left; i < size - left - 1; i++) sum += at(line, count, i, k);
    for (let i = 0; i < count; i++) {
      sum += at(line, count, i - left + size - 1, k);
      out[4 * i + k] = sum / size;
      sum -= at(line, count, i - left, k);
    }
  }
  line.set(out.subarray(0, 4 * count));
}

function at(line: Float32Array, count: number, i: number, channel: number): number {
  return i >= 0 && i < count ? line[4 * i + channel]! : 0;
}

/** A colour that is off by so much, in what is seen of it, is the same. */
const SAME_COLOUR = 2;

/**
 * Blurs by the weights of the Gaussian, in place. What is all of one colour, as shadows and the
 * edges of clips are, takes a quarter of the time: only its opacity changes.
 */
function weighted(rgba: Uint8ClampedArray, width: number, height: number, deviation: number): void {
  const weights = weightsOf(deviation);
  const count = width * height;
  const alpha = new Float32Array(count);
  for (let i = 0; i < count; i++) alpha[i] = rgba[4 * i + 3]!;
  const colour = onlyColour(rgba);
  const planes = colour ? [] : [0, 1, 2].map((k) => premultiplied(rgba, k, count));
  for (const plane of [alpha, ...planes]) blurPlane(plane, width, height, weights);
  for (let i = 0; i < count; i++) {
    const a = alpha[i]!;
    for (let k = 0; k < 3; k++)
      rgba[4 * i + k] = colour ? colour[k]! : a > 0 ? (planes[k]![i]! * 255) / a : 0;
    rgba[4 * i + 3] = a;
  }
}

/** The weight of the pixel itself, then of those farther and farther off; all of them are 1. */
function weightsOf(deviation: number): number[] {
  const half = Array.from({ length: Math.ceil(3 * deviation) + 1 }, (_, i) =>
    Math.exp((-i * i) / (2 * deviation ** 2)),
  );
  const sum = half.reduce((all, w) => all + 2 * w, -1);
  return half.map((w) => w / sum);
}

/** The colour that all pixels have; undefined where there are several. */
function onlyColour(rgba: Uint8ClampedArray): [number, number, number] | undefined {
  let most = 3;
  for (let i = 3; i < rgba.length; i += 4) if (rgba[i]! > rgba[most]!) most = i;
  const [r, g, b] = [rgba[most - 3]!, rgba[most - 2]!, rgba[most - 1]!];
  for (let i = 0; i < rgba.length; i += 4) {
    const off = Math.max(
      Math.abs(rgba[i]! - r),
      Math.abs(rgba[i + 1]! - g),
      Math.abs(rgba[i + 2]! - b),
    );
    if (off * rgba[i + 3]! > SAME_COLOUR * 255) return undefined;
  }
  return [r, g, b];
}

function premultiplied(rgba: Uint8ClampedArray, k: number, count: number): Float32Array {
  const out = new Float32Array(count);
  for (let i = 0; i < count; i++) out[i] = (rgba[4 * i + k]! * rgba[4 * i + 3]!) / 255;
  return out;
}

/** Along the rows, each between pixels of nothing, then down the columns, row by row. */
function blurPlane(plane: Float32Array, width: number, height: number, weights: number[]): void {
  const reach = weights.length - 1;
  const padded = new Float32Array(width + 2 * reach);
  const across = new Float32Array(width * height);
  for (let y = 0; y < height; y++) {
    padded.set(plane.subarray(y * width, (y + 1) * width), reach);
    for (let x = 0; x < width; x++) {
      let sum = weights[0]! * padded[x + reach]!;
      for (let k = 1; k <= reach; k++)
        sum += weights[k]! * (padded[x + reach - k]! + padded[x + reach + k]!);
      across[y * width + x] = sum;
    }
  }
  for (let y = 0; y < height; y++) {
    const row = plane.subarray(y * width, (y + 1) * width);
    row.fill(0);
    for (let from = Math.max(0, y - reach); from <= Math.min(height - 1, y + reach); from++) {
      const weight = weights[Math.abs(from - y)]!;
      const at = from * width;
      for (let x = 0; x < width; x++) row[x]! += weight * across[at + x]!;
    }
  }
}

/**
 * Dilates what pixels cover, for the same browsers: each has the greatest opacity within a square.
 *
 * @param radius half the side of the square, in whole pixels
 */
export function dilate(
  rgba: Uint8ClampedArray,
  width: number,
  height: number,
  radius: number,
): void {
  const along = (count: number, start: number, step: number) => {
    const line = Array.from({ length: count }, (_, i) => rgba[start + i * step]!);
    for (let i = 0; i < count; i++) {
      rgba[start + i * step] = Math.max(...line.slice(Math.max(i - radius, 0), i + radius + 1));
    }
  };
  for (let y = 0; y < height; y++) along(width, 4 * y * width + 3, 4);
  for (let x = 0; x < width; x++) along(height, 4 * x + 3, 4 * width);
}

/**
 * Makes pixels as opaque as they are light, in place: by the coefficients that SVG's masks have for
 * sRGB, and less where they are not opaque.
 *
 * @param rgba red, green, blue and opacity of each pixel, not multiplied
 */
export function lightToOpacity(rgba: Uint8ClampedArray): void {
  for (let i = 0; i < rgba.length; i += 4) {
    const light = 0.2126 * rgba[i]! + 0.7152 * rgba[i + 1]! + 0.0722 * rgba[i + 2]!;
    rgba[i + 3] = (light * rgba[i + 3]!) / 255;
  }
}
