/** From this standard deviation on, in canvas pixels, every browser's own blur is the Gaussian. */
export const LEAST_DEVIATION = 2;

/** The variance made by moving to and fro once, at most: more in one go is less of a Gaussian. */
const MOST_AT_ONCE = 0.42;

/** The browser's own blurs that a small one may begin with, as asked for. */
const BEGINNINGS = [1.4, 0.8];

/** How far the variance of the browser's own blur may be off. */
const TOLERANCE = 0.01;

/** What a Gaussian of a standard deviation below {@link LEAST_DEVIATION} is made of. */
export interface SmallBlur {
  /** A filter to begin with; empty for none. */
  filter: string;
  /** Parts of a pixel, 0 to 0.5, by which all is then moved to and fro along both axes. */
  shifts: number[];
}

const known = new Map<number, SmallBlur>();

/**
 * How to blur by little on a canvas. Drawn without a graphics card, Chromium's own blurs are tents of
 * few widths below a standard deviation of two, and nothing below about 0.7. Moved to by a part f of
 * a pixel and back, each pixel gets f (1 - f) of its neighbours along both axes, a variance of
 * 2 f (1 - f); a few of these after one another are the Gaussian to 0.02 of an edge, and cost a tenth
 * of having its weights spelt out as feConvolveMatrix.
 *
 * @param deviation in canvas pixels, good to a hundredth
 */
export function smallBlur(deviation: number): SmallBlur {
  const hundredths = Math.round(deviation * 100);
  let blur = known.get(hundredths);
  if (!blur) {
    blur = made(hundredths / 100);
    known.set(hundredths, blur);
  }
  return blur;
}

function made(deviation: number): SmallBlur {
  const wanted = sampledVariance(deviation);
  const own = ownVariance(deviation);
  if (Math.abs(own - wanted) <= TOLERANCE * wanted)
    return { filter: filter(deviation), shifts: [] };
  const begin = BEGINNINGS.find((d) => ownVariance(d) <= wanted);
  const rest = wanted - (begin ? ownVariance(begin) : 0);
  return { filter: begin ? filter(begin) : '', shifts: shiftsFor(rest) };
}

/** The shifts that make a variance together. */
export function shiftsFor(variance: number): number[] {
  const count = Math.ceil(variance / MOST_AT_ONCE);
  const each = variance / count;
  // 2 f (1 - f) = each
  return Array<number>(count).fill((1 - Math.sqrt(1 - 2 * each)) / 2);
}

/** The variance of a Gaussian's weights at whole pixels, which is less than its own if it is narrow. */
function sampledVariance(deviation: number): number {
  if (deviation === 0) return 0;
  let [sum, squares] = [1, 0];
  for (let k = 1; k <= Math.ceil(3 * deviation); k++) {
    const weight = Math.exp((-k * k) / (2 * deviation * deviation));
    sum += 2 * weight;
    squares += 2 * weight * k * k;
  }
  return squares / sum;
}

function filter(deviation: number): string {
  return `blur(${deviation}px)`;
}

const measured = new Map<number, number>();

/** The variance of the browser's own blur, looked up in a line of one pixel. */
function ownVariance(deviation: number): number {
  let variance = measured.get(deviation);
  if (variance === undefined) {
    variance = lineVariance(deviation);
    measured.set(deviation, variance);
  }
  return variance;
}

function lineVariance(deviation: number): number {
  const [size, middle] = [21, 10];
  const line = canvas(size);
  line.fillRect(0, middle, size, 1);
  const blurred = canvas(size);
  blurred.filter = filter(deviation);
  blurred.drawImage(line.canvas, 0, 0);
  const { data } = blurred.getImageData(middle, 0, 1, size);
  let [sum, squares] = [0, 0];
  for (let y = 0; y < size; y++) {
    const alpha = data[4 * y + 3]!;
    sum += alpha;
    squares += alpha * (y - middle) ** 2;
  }
  return squares / sum;
}

function canvas(size: number): CanvasRenderingContext2D {
  const made = document.createElement('canvas');
  made.width = size;
  made.height = size;
  const g = made.getContext('2d', { willReadFrequently: true });
  if (!g) throw new Error('The browser gives no canvas for a blur');
  return g;
}
