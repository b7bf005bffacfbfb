import { plainBlur } from './core/document';
import type { Lettering, SceneDoc } from './core/document';

/** A lettering of no words, which needs nothing shaped that the server would have to give. */
export function lettering(parts: Partial<Lettering> = {}): Lettering {
  return {
    kind: 'lettering',
    id: 'l',
    text: '',
    face: 'fraunces',
    axes: {},
    tracking: 0,
    fill: '#1F2B37',
    path: 'p',
    seat: {
      align: 'start',
      side: 'left',
      orientation: 'turn',
      pathOffset: 0,
      startMargin: 0,
      endMargin: 0,
      baselineShift: 0,
    },
    size: 100,
    opacity: 100,
    rotation: 0,
    hidden: false,
    locked: false,
    ...parts,
  };
}

/** A scene of four seconds with one lettering on a line of 800 px. */
export function scene(parts: Partial<SceneDoc> = {}): SceneDoc {
  return {
    format: 'roving-glyph-scene',
    version: 2,
    name: 'Test',
    width: 1000,
    height: 600,
    rate: '25',
    length: 4,
    background: null,
    paths: [
      {
        id: 'p',
        name: 'Line',
        kind: 'drawn',
        closed: false,
        points: [
          { x: 100, y: 300, in: [0, 0], out: [0, 0], kind: 'smooth' },
          { x: 900, y: 300, in: [0, 0], out: [0, 0], kind: 'smooth' },
        ],
      },
    ],
    items: [lettering()],
    templates: [],
    cues: [],
    blur: plainBlur,
    stack: ['l'],
    ...parts,
  };
}

/** The run of a text without clusters, as the server gives it. */
export const EMPTY_RUN = { text: '', clusters: [], outlines: [], ascent: 0.8, descent: 0.2 };
