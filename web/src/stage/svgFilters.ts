/** More filters than this are not kept: those that are not in use are made again. */
const MOST = 500;

const SVG = 'http://www.w3.org/2000/svg';
const known = new Set<string>();
let home: SVGSVGElement | undefined;

/**
 * A canvas filter that dilates, as SVG's feMorphology does.
 *
 * @param radius in whole canvas pixels
 */
export function dilation(radius: number): string {
  if (radius === 0) return '';
  const step = { operator: 'dilate', radius: String(radius) };
  return filter(`dilation-${radius}`, () => primitive('feMorphology', step));
}

/** A filter by its id, made when it is first asked for. */
function filter(id: string, effect: () => SVGElement): string {
  if (!known.has(id)) {
    if (known.size >= MOST) {
      known.clear();
      home?.replaceChildren();
    }
    known.add(id);
    // Its area is the canvas: over all of a larger one it takes minutes.
    const made = primitive('filter', { id, 'color-interpolation-filters': 'sRGB' });
    made.append(effect());
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
