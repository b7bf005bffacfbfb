/**
 * The scene document, version 2, as docs/scene-format.md describes it. Its types are written by the
 * build from the tables of the core; here are names for parts of them.
 */
import type * as doc from './generated/document';
import type { PlaneEdit } from './generated/edits';

export {
  plainBlur,
  plainPhrases,
  plainRows,
  plainStagger,
  plainSway,
  plainTrail,
} from './generated/document';
export type {
  Clip,
  ColourField,
  Cue,
  DrawnPath,
  Easing,
  EasingName,
  Effect,
  FilledPath,
  ForegroundCut,
  FreehandPath,
  Group,
  Inset,
  Guide,
  GuidePath,
  Item,
  ItemProperties,
  Knot,
  LetterRule,
  Lettering,
  Motion,
  Movable,
  MovableColour,
  MovingColour,
  Profile,
  Phrases,
  Footage,
  FootagePin,
  Pin,
  PinFrame,
  Picture,
  Ride,
  Rows,
  SceneDoc,
  Seat,
  Stagger,
  Sway,
  Follow,
  SmoothPath,
  Stop,
  Template,
  Trail,
} from './generated/document';

export type Pair = [number, number];

/** Left, top, right and bottom. */
export type Box = [number, number, number, number];

/** A path given by numbers; which ones, the core tells (shapeKinds). */
export type ShapePath = Exclude<doc.GuidePath, doc.DrawnPath | doc.SmoothPath | doc.FreehandPath>;
export type ShapeName = ShapePath['kind'];
export type KnotKind = doc.Knot['kind'];

export function isShape(path: doc.GuidePath): path is ShapePath {
  return path.kind !== 'drawn' && path.kind !== 'smooth' && path.kind !== 'freehand';
}

/** An easing that is given by numbers, such as a spring. */
export function byNumbers(kind: doc.EasingName, numbers: number[]): doc.Easing {
  return { [kind]: numbers } as unknown as doc.Easing;
}

export type LandingName = NonNullable<doc.Keyframe['landing']>;
export type Fit = NonNullable<doc.Seat['fit']>;
export type RuleBy = doc.LetterRule['by'];
export type BlendMode = NonNullable<doc.ItemProperties['blendMode']>;

/** A ready way to turn the plane of an item. */
export type PlaneView = NonNullable<PlaneEdit['view']>;

export type RecipeKind = doc.Recipe['kind'];

/** What wrote some of the motion, with what it was written from. */
export type Recipe = doc.Recipe & Record<string, unknown>;

/** Filled shapes, placed as one. */
export type DrawingItem = doc.Drawing;

/** What is put somewhere as a whole. */
export type Placed =
  doc.Drawing | doc.Group | doc.ColourField | doc.Picture | doc.Footage | doc.Inset;

/** The name of a value that can move; the core lists them (the Java class Channel). */
export type Channel = string;
