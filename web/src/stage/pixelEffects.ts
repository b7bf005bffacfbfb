/** Three box blurs after another are the Gaussian to about three percent (SVG, feGaussianBlur). */
const BOXES = 3;

/** Below this standard deviation boxes are too coarse: its weights are spelt out. */
const LEAST_FOR_BOXES = 2;

/**
 * Blurs pixels in place, for browsers whose canvas has no filters. Colours are weighted by their
 * opacity, beyond the edge there is nothing.
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
  const kernels = kernelsOf(deviation);
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
    for (const kernel of kernels) convolve(line, out, count, kernel);
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

/** How far to the left a kernel begins, and its weights; null for a box of that many pixels. */
interface Kernel {
  left: number;
  size: number;
  weights: number[] | null;
}

function kernelsOf(deviation: number): Kernel[] {
  if (deviation < LEAST_FOR_BOXES) {
    const reach = Math.ceil(3 * deviation);
    const raw = Array.from({ length: 2 * reach + 1 }, (_, i) =>
      Math.exp(-((i - reach) ** 2) / (2 * deviation ** 2)),
    );
    const sum = raw.reduce((a, b) => a + b, 0);
    return [{ left: reach, size: raw.length, weights: raw.map((w) => w / sum) }];
  }
  const d = Math.floor((deviation * 3 * Math.sqrt(2 * Math.PI)) / 4 + 0.5);
  if (d % 2 === 1) return Array<Kernel>(BOXES).fill({ left: (d - 1) / 2, size: d, weights: null });
  // Of an even size, the middle lies between pixels: two to either side, and an odd one.
  return [
    { left: d / 2, size: d, weights: null },
    { left: d / 2 - 1, size: d, weights: null },
    { left: d / 2, size: d + 1, weights: null },
  ];
}

function convolve(line: Float32Array, out: Float32Array, count: number, kernel: Kernel): void {
  const { left, size, weights } = kernel;
  for (let k = 0; k < 4; k++) {
    let sum = 0;
    if (!weights) for (let i = -left; i < size - left - 1; i++) sum += at(line, count, i, k);
    for (let i = 0; i < count; i++) {
      if (weights) {
        sum = 0;
        weights.forEach((w, n) => (sum += w * at(line, count, i - left + n, k)));
        out[4 * i + k] = sum;
      } else {
        sum += at(line, count, i - left + size - 1, k);
        out[4 * i + k] = sum / size;
        sum -= at(line, count, i - left, k);
      }
    }
  }
  line.set(out.subarray(0, 4 * count));
}

function at(line: Float32Array, count: number, i: number, channel: number): number {
  return i >= 0 && i < count ? line[4 * i + channel]! : 0;
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
