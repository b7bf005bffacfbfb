/** From this standard deviation on, in canvas pixels, Chromium's own blur is the Gaussian. */
export const LEAST_DEVIATION = 2;

/** More filters than this are not kept: those that are not in use are made again. */
const MOST = 500;

const SVG = 'http://www.w3.org/2000/svg';
const known = new Set<string>();
let home: SVGSVGElement | undefined;

/**
 * A canvas filter for a small Gaussian blur. Of its own ones Chromium makes tents below a standard
 * deviation of two, and nothing below about 0.6: here the two passes of the Gaussian are spelt out.
 *
 * @param deviation in canvas pixels, good to a hundredth
 */
export function smallBlur(deviation: number): string {
  const hundredths = Math.round(deviation * 100);
  return hundredths === 0 ? '' : filter(`small-blur-${hundredths}`, () => passes(hundredths / 100));
}

/**
 * A canvas filter that dilates, as SVG's feMorphology does.
 *
 * @param radius in whole canvas pixels
 */
export function dilation(radius: number): string {
  if (radius === 0) return '';
  const step = { operator: 'dilate', radius: String(radius) };
  // Within the canvas only: over all of a larger area it takes minutes.
  return filter(`dilation-${radius}`, () => [primitive('feMorphology', step)], {});
}

/** Far beyond any canvas: what lies outside of it counts. */
const EVERYWHERE = {
  filterUnits: 'userSpaceOnUse',
  x: '-20000',
  y: '-20000',
  width: '40000',
  height: '40000',
};

/** A filter by its id, made when it is first asked for. */
function filter(id: string, primitives: () => SVGElement[], region: object = EVERYWHERE): string {
  if (!known.has(id)) {
    if (known.size >= MOST) {
      known.clear();
      home?.replaceChildren();
    }
    known.add(id);
    const made = primitive('filter', {
      id,
      ...region,
      'color-interpolation-filters': 'sRGB',
    });
    made.append(...primitives());
    place().append(made);
  }
  return `url(#${id})`;
}

/** Filters have to be in the document; this part of it is not seen. */
function place(): SVGSVGElement {
  if (!home) {
    home = document.createElementNS(SVG, 'svg');
    home.setAttribute('aria-hidden', 'true');
    home.style.cssText = 'position:absolute;width:0;height:0';
    document.body.append(home);
  }
  return home;
}

function primitive(name: string, attributes: Record<string, string>): SVGElement {
  const made = document.createElementNS(SVG, name);
  for (const [attribute, value] of Object.entries(attributes)) made.setAttribute(attribute, value);
  return made;
}

function passes(deviation: number): SVGElement[] {
  const reach = Math.ceil(3 * deviation);
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * deviation ** 2)),
  );
  return [`${weights.length} 1`, `1 ${weights.length}`].map((order) =>
    primitive('feConvolveMatrix', {
      order,
      kernelMatrix: weights.join(' '),
      edgeMode: 'none',
      preserveAlpha: 'false',
    }),
  );
}
