/** From this standard deviation on, in canvas pixels, every browser's own blur is the Gaussian. */
const LEAST_DEVIATION = 2;

/** How far the variance of the browser's own blur may be off. */
const TOLERANCE = 0.01;

const known = new Map<number, boolean>();

/**
 * Whether the browser's own blur of a canvas is the Gaussian. Drawn without a graphics card,
 * Chromium's are tents of few widths below a standard deviation of two, and nothing below about 0.7.
 *
 * @param deviation in canvas pixels, good to a hundredth
 */
export function blursWell(deviation: number): boolean {
  if (deviation >= LEAST_DEVIATION) return true;
  const hundredths = Math.round(deviation * 100);
  let well = known.get(hundredths);
  if (well === undefined) {
    const wanted = sampledVariance(hundredths / 100);
    well = Math.abs(lineVariance(hundredths / 100) - wanted) <= TOLERANCE * wanted;
    known.set(hundredths, well);
  }
  return well;
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

/** The variance of the browser's own blur, looked up in a line of one pixel. */
function lineVariance(deviation: number): number {
  const [size, middle] = [21, 10];
  const line = canvas(size);
  line.fillRect(0, middle, size, 1);
  const blurred = canvas(size);
  blurred.filter = `blur(${deviation}px)`;
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
