import * as core from '../core/core';

let shapes: Path2D[] = [];
let shapesOf = -1;

/** The outlines of the opened scene as canvas paths, made once per opening. */
function outlines(opened: number): Path2D[] {
  if (opened !== shapesOf) {
    shapes = Array.from({ length: core.outlineCount() }, (_, i) => new Path2D(core.outline(i)));
    shapesOf = opened;
  }
  return shapes;
}

/**
 * Paints the frame of a time as the core lists it (see the Java class Frame), scaled to the canvas.
 * It decides nothing.
 */
export function paintFrame(
  canvas: HTMLCanvasElement,
  opened: number,
  time: number,
  width: number,
  background: string | null,
): void {
  const g = canvas.getContext('2d');
  if (!g) return;
  const scale = canvas.width / width;
  g.setTransform(1, 0, 0, 1, 0, 0);
  g.globalAlpha = 1;
  g.clearRect(0, 0, canvas.width, canvas.height);
  if (background) {
    g.fillStyle = background;
    g.fillRect(0, 0, canvas.width, canvas.height);
  }
  g.setTransform(scale, 0, 0, scale, 0, 0);
  const paths = outlines(opened);
  const n = core.frame(time);
  for (let i = 0; i < n.length;) {
    const [colour, alpha, count] = [n[i]!, n[i + 1]!, n[i + 2]!];
    i += 3;
    const area = new Path2D();
    for (let k = 0; k < count; k++, i += 7) {
      const map = new DOMMatrix([n[i + 1]!, n[i + 2]!, n[i + 3]!, n[i + 4]!, n[i + 5]!, n[i + 6]!]);
      area.addPath(paths[n[i]!]!, map);
    }
    g.globalAlpha = alpha;
    g.fillStyle = `#${colour.toString(16).padStart(6, '0')}`;
    g.fill(area, 'nonzero');
  }
}
