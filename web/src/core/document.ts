import type { BLEND_MODES } from './generated/frame';

/** The scene document, version 2, as docs/scene-format.md describes it. */
export interface Cue {
  id: string;
  name: string;
  time: number;
}

export interface SceneDoc {
  format: 'roving-glyph-scene';
  version: 2;
  name: string;
  width: number;
  height: number;
  rate: string;
  length: number;
  background: string | null;
  paths: GuidePath[];
  items: Item[];
  templates: Template[];
  cues?: Cue[];
  blur?: { angle: number; samples: number };
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

export type EasingName =
  | 'linear'
  | 'ease-in'
  | 'ease-out'
  | 'ease-in-out'
  | 'overshoot'
  | 'spring'
  | 'bounce'
  | 'hold'
  | 'steps'
  | 'list'
  | 'own';

export type LandingName = 'out-before' | 'out-after' | 'at-rest' | 'centred' | 'whole-laps';

/** What a movable value is beside a plain number; the core reads its keyframes. */
export interface Motion<T> {
  still: T;
  keyframes: unknown[];
  cruise?: { pace: 'per-second' | 'laps' | 'letters'; amount: number };
  sway?: {
    amplitude: number;
    period: number;
    phase: number;
    shape: 'sine' | 'triangle' | 'noise';
    seed: number;
    /** A whole number of periods in the scene. */
    loops?: boolean;
  };
  stagger?: { delay: number; order: 'forward' | 'backward' | 'middle' | 'random'; seed: number };
  follow?: { lettering: string; factor: number; delay: number; offset: number };
}

export type Movable = number | Motion<number>;

/** A colour #RRGGBB, or one that moves. */
export type MovableColour = string | Motion<string>;

export interface Seat {
  align: 'start' | 'middle' | 'end';
  side: 'left' | 'right';
  orientation: 'turn' | 'upright' | 'fixed';
  method?: 'rigid' | 'bent';
  ends?: 'continue' | 'cut' | 'wrap';
  fit?: Fit;
  spreadBy?: 'letters' | 'words';
  overlong?: 'on' | 'cut' | 'shrink';
  seamGap?: number;
  evenSpacing?: boolean;
  /** How letters turn at corners of the path. */
  corners?: 'blend' | 'exact';
  leastGap?: number;
  reshape?: 'keep-share' | 'keep-distance';
  pin?: number;
  pathOffset: Movable;
  startMargin: Movable;
  endMargin: Movable;
  baselineShift: Movable;
}

export type Fit = 'natural' | 'spread' | 'stretch' | 'scale' | 'repeat';

/** How some letters differ from the rest. */
export interface LetterRule {
  by: RuleBy;
  match?: string;
  every?: number;
  from?: number;
  fill?: string;
  axes?: Record<string, number>;
  size?: number;
}

export type RuleBy =
  | 'word'
  | 'words'
  | 'phrases'
  | 'letters'
  | 'initials'
  | 'capitals'
  | 'digits'
  | 'punctuation'
  | 'separators';

export interface Rows {
  count: number;
  kind: 'parallel' | 'moved';
  step: number;
  direction: number;
  phrase: number;
  phase: number;
}

/** A small curve along the run or the path. */
export interface Profile {
  of: 'size' | 'turn' | 'shift' | 'tracking' | 'axis';
  axis?: string;
  along: 'run' | 'path';
  points: Pair[];
}

export type RecipeKind =
  'enter-hold-leave' | 'endless-lap' | 'steady-cruise' | 'sway' | 'letter-reveal' | 'clock-sweep';

/** What wrote some of the motion, with what it was written from. */
export type Recipe = { kind: RecipeKind } & Record<string, unknown>;

export interface Trail {
  colour: string;
  width: number;
  dash: number[];
  cap: 'butt' | 'round' | 'square';
  with: boolean;
  lead: number;
  lag: number;
}

/** What every item has, whatever its kind. */
export interface ItemProperties {
  id: string;
  name?: string;
  /** Seconds: it is there at this time and after it, up to {@link shownTo}. */
  shownFrom?: number;
  shownTo?: number;
  hidden: boolean;
  locked: boolean;
  /** How its colours meet what is beneath, with the names of CSS; normal where it is left out. */
  blendMode?: BlendMode;
  effects?: Effect[];
  clip?: Clip;
}

export type BlendMode = (typeof BLEND_MODES)[number];

/** Something done to the picture of an item; its numbers are values of the item. */
export interface Effect {
  id: string;
  /** Documents may hold kinds that are not known here. */
  kind: string;
  off?: boolean;
}

/** Of the item only what lies within a path is seen. */
export interface Clip {
  path: string;
  inverted?: boolean;
  softEdge?: Movable;
}

export interface Lettering extends ItemProperties {
  kind: 'lettering';
  text: string;
  face: string;
  faceName?: string;
  axes: Record<string, Movable>;
  casing?: 'as-typed' | 'upper' | 'lower' | 'title';
  features?: Record<string, number>;
  phrases?: { separator: string; space: number; times: number };
  rules?: LetterRule[];
  rows?: Rows;
  profiles?: Profile[];
  mix?: 'oklch' | 'srgb';
  reveal?: object;
  sweep?: object;
  trail?: Trail;
  recipes?: Recipe[];
  /** Own shutter angle, degrees. */
  blur?: number;
  fill: MovableColour;
  path: string;
  seat: Seat;
  tracking: Movable;
  size: Movable;
  opacity: Movable;
  rotation: Movable;
}

/** What is put somewhere as a whole. */
export interface Placed extends ItemProperties {
  name: string;
  x: Movable;
  y: Movable;
  scale: Movable;
  opacity: Movable;
  rotation: Movable;
}

/** Filled shapes, placed as one. */
export interface DrawingItem extends Placed {
  kind: 'drawing';
  parts: { d: string; fill: string }[];
}

/** Items that are placed as one. */
export interface Group extends Placed {
  kind: 'group';
  members: string[];
  centre: Pair;
}

export interface Stop {
  offset: number;
  colour: string;
  opacity: number;
}

/** A plain or graded area. */
export interface ColourField extends Placed {
  kind: 'colour-field';
  area: 'frame' | 'rectangle';
  filling: 'plain' | 'linear' | 'radial';
  stops?: Stop[];
  width: Movable;
  height: Movable;
  fill: MovableColour;
}

/** Documents may also hold items of kinds that are not known here: nothing is asked of them. */
export type Item = Lettering | DrawingItem | Group | ColourField;

/** The name of a value that can move; the core lists them (the Java class Channel). */
export type Channel = string;
