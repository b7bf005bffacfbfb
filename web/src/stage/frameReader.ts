import { BLEND_MODES, Op, PaintKind, PathStep, STEP_NUMBERS } from '../core/generated/frame';

/** What an area or a line is painted with; see the Java class FramePaint. */
export interface FramePaint {
  kind: number;
  alpha: number;
  /** 0xRRGGBB of a plain paint. */
  rgb: number;
  /** Index of the picture of one that is an image. */
  image: number;
  /** The moment of footage, seconds; less than 0 for a picture. */
  moment: number;
  /** Of a gradient or an image: the nine numbers of its map, see the Java class Projection. */
  map: Float64Array;
  stops: { offset: number; rgb: number; opacity: number }[];
}

/** A picture of its own, which goes over what is below it as a whole. */
export interface Layer {
  alpha: number;
  blend: (typeof BLEND_MODES)[number];
  /** Left, top, right, bottom of what it holds, before its effects. */
  box: Float64Array;
  /** How far its effects paint beyond that. */
  reach: number;
  effects: { kind: number; numbers: Float64Array }[];
}

/** How a line is drawn; see the Java class LineStyle. */
export interface LineStyle {
  width: number;
  cap: number;
  join: number;
  dash: Float64Array;
}

/** Takes a display list entry by entry; see the Java interface FrameSink. */
export interface FrameSink {
  outline(index: number, n: Float64Array, at: number): void;
  step(kind: number, n: Float64Array, at: number): void;
  fill(paint: FramePaint): void;
  /** Draws along the outline or steps before it, and maps the line. */
  stroke(paint: FramePaint, line: LineStyle, map: ArrayLike<number>): void;
  clip(): void;
  unclip(): void;
  push(layer: Layer): void;
  matte(inverted: boolean, luminance: boolean): void;
  pop(): void;
}

/** How the numbers lie; see the Java class Frame. */
const [HEAD, STRIDE, INLINE, LINE_HEAD, GRADED_HEAD] = [2, 7, -1, 4, 12];
const UNMAPPED: Float64Array = new Float64Array([1, 0, 0, 1, 0, 0]);

/**
 * Gives every entry of a display list to a sink: the one place in TypeScript that knows how the
 * numbers lie. An entry of an unknown op is passed over; in tests and in development it is an error.
 */
export function readFrame(n: Float64Array, sink: FrameSink): void {
  for (let i = 0; i < n.length;) {
    const op = n[i];
    const from = i + HEAD;
    const to = from + n[i + 1]!;
    i = to;
    if (op === Op.FILL) fill(n, from, to, sink);
    else if (op === Op.STROKE) stroke(n, from, to, sink);
    else if (op === Op.PUSH) sink.push(layer(n, from));
    else if (op === Op.MATTE) sink.matte(n[from] !== 0, n[from + 1] !== 0);
    else if (op === Op.POP) sink.pop();
    else if (op === Op.CLIP) clip(n, from, to, sink);
    else if (op === Op.UNCLIP) sink.unclip();
    else if (import.meta.env.DEV) throw new Error(`There is no op ${op}`);
  }
}

function fill(n: Float64Array, from: number, to: number, sink: FrameSink): void {
  outlines(n, from + paintSize(n, from), to, sink);
  sink.fill(paint(n, from));
}

function clip(n: Float64Array, from: number, to: number, sink: FrameSink): void {
  outlines(n, from, to, sink);
  sink.clip();
}

function outlines(n: Float64Array, from: number, to: number, sink: FrameSink): void {
  for (let i = from; i < to;) {
    if (n[i] === INLINE) {
      const end = i + 2 + n[i + 1]!;
      steps(n, i + 2, end, sink);
      i = end;
    } else {
      sink.outline(n[i]!, n, i + 1);
      i += STRIDE;
    }
  }
}

function stroke(n: Float64Array, from: number, to: number, sink: FrameSink): void {
  const at = from + paintSize(n, from);
  const begin = at + LINE_HEAD + n[at + 3]!;
  const dash = n.subarray(at + LINE_HEAD, begin);
  const line = { width: n[at]!, cap: n[at + 1]!, join: n[at + 2]!, dash };
  const inked = paint(n, from);
  for (let i = begin; i < to;) {
    const kind = n[i]!;
    if (kind >= 0) {
      sink.outline(kind, n, i + 1);
      sink.stroke(inked, line, UNMAPPED);
      i += STRIDE;
      continue;
    }
    i++;
    let map = UNMAPPED;
    if (kind !== INLINE) {
      map = n.subarray(i, i + 6);
      i += 6;
    }
    const end = i + 1 + n[i]!;
    steps(n, i + 1, end, sink);
    sink.stroke(inked, line, map);
    i = end;
  }
}

function steps(n: Float64Array, from: number, to: number, sink: Pick<FrameSink, 'step'>): void {
  for (let i = from; i < to;) {
    const kind = n[i]!;
    sink.step(kind, n, i + 1);
    i += 1 + STEP_NUMBERS[kind]!;
  }
}

function paintSize(n: Float64Array, at: number): number {
  if (n[at] === PaintKind.PLAIN) return 3;
  return n[at] === PaintKind.IMAGE ? 13 : GRADED_HEAD + 3 * n[at + GRADED_HEAD - 1]!;
}

function paint(n: Float64Array, at: number): FramePaint {
  const kind = n[at]!;
  const alpha = n[at + 1]!;
  const paint: FramePaint = { kind, alpha, rgb: 0, image: -1, moment: -1, map: NOTHING, stops: [] };
  if (kind === PaintKind.PLAIN) return { ...paint, rgb: n[at + 2]! };
  if (kind === PaintKind.IMAGE) {
    return { ...paint, image: n[at + 2]!, moment: n[at + 3]!, map: n.subarray(at + 4, at + 13) };
  }
  const from = at + GRADED_HEAD;
  const stops = Array.from({ length: n[from - 1]! }, (_, i) => ({
    offset: n[from + 3 * i]!,
    rgb: n[from + 1 + 3 * i]!,
    opacity: n[from + 2 + 3 * i]!,
  }));
  return { ...paint, map: n.subarray(at + 2, at + 11), stops };
}

const NOTHING = new Float64Array(0);

function layer(n: Float64Array, at: number): Layer {
  const effects: Layer['effects'] = [];
  let i = at + 8;
  for (let k = 0; k < n[at + 7]!; k++) {
    const end = i + 2 + n[i + 1]!;
    effects.push({ kind: n[i]!, numbers: n.subarray(i + 2, end) });
    i = end;
  }
  const blend = BLEND_MODES[n[at + 1]!]!;
  return { alpha: n[at]!, blend, box: n.subarray(at + 2, at + 6), reach: n[at + 6]!, effects };
}

/** Steps as a canvas path. */
export function pathOf(n: Float64Array): Path2D {
  const path = new Path2D();
  steps(n, 0, n.length, { step: (kind, n, at) => addStep(path, kind, n, at) });
  return path;
}

/** Adds a step to a canvas path. */
export function addStep(path: Path2D, kind: number, n: Float64Array, at: number): void {
  if (kind === PathStep.MOVE) path.moveTo(n[at]!, n[at + 1]!);
  else if (kind === PathStep.LINE) path.lineTo(n[at]!, n[at + 1]!);
  else if (kind === PathStep.QUADRATIC)
    path.quadraticCurveTo(n[at]!, n[at + 1]!, n[at + 2]!, n[at + 3]!);
  else if (kind === PathStep.CUBIC)
    path.bezierCurveTo(n[at]!, n[at + 1]!, n[at + 2]!, n[at + 3]!, n[at + 4]!, n[at + 5]!);
  else path.closePath();
}
