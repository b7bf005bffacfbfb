/** From this standard deviation on, in canvas pixels, Chromium's own blur is the Gaussian. */
export const LEAST_DEVIATION = 2;

const SVG = 'http://www.w3.org/2000/svg';
const known = new Map<number, string>();
let home: SVGSVGElement | undefined;

/**
 * A canvas filter for a small Gaussian blur. Of its own ones Chromium makes tents below a standard
 * deviation of two, and nothing below about 0.6: here the two passes of the Gaussian are spelt out.
 *
 * @param deviation in canvas pixels, good to a hundredth
 */
export function smallBlur(deviation: number): string {
  const hundredths = Math.round(deviation * 100);
  if (hundredths === 0) return '';
  let id = known.get(hundredths);
  if (!id) {
    id = `small-blur-${hundredths}`;
    known.set(hundredths, id);
    place().append(filterOf(id, hundredths / 100));
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

function filterOf(id: string, deviation: number): SVGFilterElement {
  const reach = Math.ceil(3 * deviation);
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * deviation ** 2)),
  );
  const filter = document.createElementNS(SVG, 'filter');
  for (const [name, value] of Object.entries({
    id,
    filterUnits: 'userSpaceOnUse',
    x: -20000,
    y: -20000,
    width: 40000,
    height: 40000,
    'color-interpolation-filters': 'sRGB',
  }))
    filter.setAttribute(name, String(value));
  for (const order of [`${weights.length} 1`, `1 ${weights.length}`]) {
    const pass = document.createElementNS(SVG, 'feConvolveMatrix');
    pass.setAttribute('order', order);
    pass.setAttribute('kernelMatrix', weights.join(' '));
    pass.setAttribute('edgeMode', 'none');
    pass.setAttribute('preserveAlpha', 'false');
    filter.append(pass);
  }
  return filter;
}
