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
  stack: string[];
}

export type Pair = [number, number];

export interface CirclePath {
  id: string;
  name: string;
  kind: 'circle';
  centre: Pair;
  radius: number;
  startAngle: number;
  direction: 'clockwise' | 'counterclockwise';
}

export interface Knot {
  x: number;
  y: number;
  in: Pair;
  out: Pair;
  smooth: boolean;
}

export interface DrawnPath {
  id: string;
  name: string;
  kind: 'drawn';
  closed: boolean;
  points: Knot[];
}

export type GuidePath = CirclePath | DrawnPath;

export type EasingName = 'steady' | 'gentle-start' | 'gentle-stop' | 'gentle-both' | 'hold' | 'own';

export type LandingName = 'out-before' | 'out-after' | 'at-rest' | 'whole-laps';

/** A number, or keyframes; only the core reads the latter. */
export type Movable = number | { still: number; keyframes: unknown[] };

export interface Seat {
  align: 'start' | 'middle' | 'end';
  side: 'left' | 'right';
  orientation: 'turn' | 'upright';
  ends?: 'continue' | 'cut' | 'wrap';
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

export type Channel =
  'pathOffset' | 'startMargin' | 'endMargin' | 'baselineShift' | 'size' | 'opacity' | 'rotation';

/** Frames per second of a rate such as "25" or "30000/1001". */
export function framesPerSecond(rate: string): number {
  const [n = '25', d = '1'] = rate.split('/');
  return Number(n) / Number(d);
}
