/** The scene document, version 1, as docs/scene-format.md describes it. */
export interface SceneDoc {
  format: 'roving-glyph-scene';
  version: 1;
  name: string;
  width: number;
  height: number;
  rate: string;
  length: number;
  background: string | null;
  paths: GuidePath[];
  letterings: Lettering[];
  pictures: Picture[];
  templates: Template[];
  stack: string[];
}

export type Pair = [number, number];

interface PathLabel {
  id: string;
  name: string;
  hidden?: boolean;
  locked?: boolean;
}

export type ShapeName =
  | 'circle'
  | 'ellipse'
  | 'arc'
  | 'rectangle'
  | 'polygon'
  | 'star'
  | 'line'
  | 'wave'
  | 'noise'
  | 'spiral'
  | 'loop';

/** A path given by numbers; which ones, the core tells (shapeKinds). */
export interface ShapePath extends PathLabel {
  kind: ShapeName;
  flipped?: boolean;
  reversed?: boolean;
}

export type KnotKind = 'corner' | 'smooth' | 'symmetric';

export interface Knot {
  x: number;
  y: number;
  in: Pair;
  out: Pair;
  kind: KnotKind;
}

export interface DrawnPath extends PathLabel {
  kind: 'drawn';
  closed: boolean;
  points: Knot[];
  shapes?: { time: number; easing: EasingName }[];
}

export interface SmoothPath extends PathLabel {
  kind: 'smooth';
  rule: 'through' | 'near';
  closed: boolean;
  points: Pair[];
}

export interface FreehandPath extends PathLabel {
  kind: 'freehand';
  closed: boolean;
  steadiness: number;
  simplicity: number;
  samples: Pair[];
}

export type GuidePath = ShapePath | DrawnPath | SmoothPath | FreehandPath;

export function isShape(path: GuidePath): path is ShapePath {
  return path.kind !== 'drawn' && path.kind !== 'smooth' && path.kind !== 'freehand';
}

/** A picture to trace over. */
export interface Template {
  id: string;
  name: string;
  image: string;
  x: number;
  y: number;
  width: number;
  height: number;
  opacity: number;
  hidden?: boolean;
}

export type EasingName = 'steady' | 'gentle-start' | 'gentle-stop' | 'gentle-both' | 'hold' | 'own';

export type LandingName = 'out-before' | 'out-after' | 'at-rest' | 'whole-laps';

/** A number, or keyframes; only the core reads the latter. */
export type Movable = number | { still: number; keyframes: unknown[] };

export interface Seat {
  align: 'start' | 'middle' | 'end';
  side: 'left' | 'right';
  orientation: 'turn' | 'upright';
  ends?: 'continue' | 'cut' | 'wrap';
  reshape?: 'keep-share' | 'keep-distance';
  pin?: number;
  pathOffset: Movable;
  startMargin: Movable;
  endMargin: Movable;
  baselineShift: Movable;
}

export interface Lettering {
  id: string;
  text: string;
  face: string;
  axes: Record<string, number>;
  tracking: number;
  fill: string;
  path: string;
  seat: Seat;
  size: Movable;
  opacity: Movable;
  rotation: Movable;
  hidden: boolean;
  locked: boolean;
}

export interface Picture {
  id: string;
  name: string;
  parts: { d: string; fill: string }[];
  x: number;
  y: number;
  scale: number;
  opacity: Movable;
  rotation: Movable;
  hidden: boolean;
  locked: boolean;
}

/** What a lettering or picture has; the numbers of shapes are channels, too. */
export type ItemChannel =
  'pathOffset' | 'startMargin' | 'endMargin' | 'baselineShift' | 'size' | 'opacity' | 'rotation';

/** The name of a value that can move; {@link ItemChannel} or a number of a shape. */
export type Channel = string;

/** Frames per second of a rate such as "25" or "30000/1001". */
export function framesPerSecond(rate: string): number {
  const [n = '25', d = '1'] = rate.split('/');
  return Number(n) / Number(d);
}
