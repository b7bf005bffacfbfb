import * as bridge from './generated/core.js';
import type { Edit } from './generated/edits';
import type {
  Box,
  Channel,
  EasingName,
  GuidePath,
  Knot,
  LandingName,
  Motion,
  Pair,
  SceneDoc,
  ShapeName,
} from './document';

/** What the core tells of an opened scene. */
export interface Summary {
  frames: number;
  paths: Record<string, PathSummary>;
  items: Record<string, ItemSummary>;
  poses: { time: number; label: string }[];
}

export interface ItemSummary {
  /** The keyframes of the values that have some. */
  channels: Partial<Record<Channel, KeyframeInfo[]>>;
  /** All values that move in any way. */
  moving: Channel[];
  /** The values of its effects, its clip and its ride. */
  appearance: Channel[];
  /** Of an item that rides: the length of its path at the start of the scene, px. */
  rideLength?: number;
  /** Of a lettering at the start of the scene: its path, its room and its text, px. */
  length?: number;
  comesRound?: boolean;
  room?: number;
  text?: number;
  letters?: number;
  size?: number;
}

export interface PathSummary {
  d: string;
  length: number;
  closed: boolean;
  moves: boolean;
  /** Of a freehand stroke: how many points its curve has, and how far it leaves the stroke, px. */
  points?: number;
  error?: number;
  /** Of an arc, px. */
  chord?: number;
  height?: number;
}

export interface ShapeKind {
  kind: ShapeName;
  word: string;
  closed: boolean;
  numbers: { field: string; label: string; unit: string; start: number }[];
  /** Path data within 44 by 28. */
  picture: string;
}

/** One line of an SVG file or of path data. */
export interface FoundPath {
  name?: string;
  d: string;
  closed: boolean;
  length: number;
  picture: string;
}

export interface KeyframeInfo {
  time: number;
  value: number;
  easing: EasingName;
  curve: [number, number, number, number];
  /** Of spring, bounce and steps; see the Java class Easing. */
  numbers: number[];
  landing?: LandingName;
  laps?: number;
  distance?: number;
  cue?: string;
}

export interface Finding {
  message: string;
  item: string;
  time: number;
  /** What a button that fixes it says, and its edit as JSON; empty where there is none. */
  fix: string;
  edit: string;
}

/** A value that is not the same in frame 0 and in the frame after the last. */
export interface LoopDifference {
  sentence: string;
  item: string;
  channel: Channel;
  fixable: boolean;
}

export function loopCheck(): LoopDifference[] {
  return JSON.parse(bridge.loopCheck()) as LoopDifference[];
}

/** The keyframes of a value as they are shown; null for those that are as in the summary. */
export function keyframes(item: string, channel: Channel): (KeyframeInfo | null)[] {
  return JSON.parse(bridge.keyframes(item, channel)) as (KeyframeInfo | null)[];
}

/** Chosen keyframes, to be pasted by the edit pasteKeys. */
export function copyKeys(item: string, channel: Channel, indexes: number[]): unknown[] {
  return JSON.parse(bridge.copyKeys(item, channel, Float64Array.from(indexes))) as unknown[];
}

export interface Problem {
  path: string;
  reason: string;
  allowed: string;
}

export interface RunRequest {
  key: string;
  face: string;
  axes: Record<string, number>;
  text: string;
  ligatures: boolean;
  casing: string;
  features: Record<string, number>;
}

export type Opened =
  | { kind: 'open'; summary: Summary }
  | { kind: 'scenes'; scenes: string[] }
  | { kind: 'missing'; missing: RunRequest[] }
  | { kind: 'problems'; problems: Problem[] };

export type { Edit } from './generated/edits';

/** The edits of one word. */
export type EditOf<Op extends Edit['op']> = Extract<Edit, { op: Op }>;

/** What an edit has beside what is given already. */
export type Further<Op extends Edit['op'], Given extends string> = Omit<EditOf<Op>, 'op' | Given>;

export function open(document: SceneDoc, asFarAsPossible = false): Opened {
  const answer = JSON.parse(bridge.open(JSON.stringify(document), asFarAsPossible)) as Summary & {
    problems?: Problem[];
    missing?: RunRequest[];
    scenes?: string[];
  };
  if (answer.problems) return { kind: 'problems', problems: answer.problems };
  if (answer.scenes) return { kind: 'scenes', scenes: answer.scenes };
  if (answer.missing) return { kind: 'missing', missing: answer.missing };
  return { kind: 'open', summary: answer };
}

/**
 * What is in the way of the open scene showing another one that is at hand: the ids from the scene
 * to itself again, or one id where there would be too many insets; none where nothing is.
 */
export function showingRefused(open: string, other: string): string[] {
  return JSON.parse(bridge.showingRefused(open, other)) as string[];
}

/** The document with all that it leaves to defaults; earlier ones in the words of today. */
export function complete(document: SceneDoc): SceneDoc {
  return JSON.parse(bridge.complete(JSON.stringify(document))) as SceneDoc;
}

/** An edited document, or what is wrong with the edit: of its arguments, or as a whole. */
export type Edited = SceneDoc | { problems: Problem[] } | { error: string };

export function edit(document: SceneDoc, change: Edit): Edited {
  return JSON.parse(bridge.edit(JSON.stringify(document), JSON.stringify(change))) as Edited;
}

/** A part of what Proof finds in the opened scene, from 0 on; null after the last one. */
export function findings(part: number): Finding[] | null {
  return JSON.parse(bridge.findings(part)) as Finding[] | null;
}

/** What an edit is called once it is done, such as "Moved a keyframe". */
export function editDone(change: Edit): string {
  return bridge.editDone(JSON.stringify(change));
}

/** Shows the opened scene with an edit under way; what is wrong with it, or nothing. */
export function preview(change: Edit): string {
  return bridge.preview(JSON.stringify(change));
}

const hundredth = (v: number) => Math.round(v * 100) / 100;

/** A piece of path data from pairs of numbers. */
function step(letter: string, n: Float64Array, from: number, to: number): string {
  let d = letter;
  for (let i = from; i < to; i++) d += (i > from ? ' ' : '') + hundredth(n[i]!);
  return d;
}

/** Lines that the core gives as numbers, as path data to a hundredth of a pixel. */
function linesData(n: Float64Array): string {
  let d = '';
  for (let i = 0; i < n.length;) {
    const end = i + 3 + 6 * n[i]!;
    d += step('M', n, i + 1, i + 3);
    for (i += 3; i < end; i += 6) d += step('C', n, i, i + 6);
  }
  return d;
}

let lastLine: Float64Array = new Float64Array();
let lastSteps: string[] = [];

/** A path at a time as path data; what is as it was the last time is not written again. */
export function lineData(path: string, time: number): string {
  const n = bridge.line(path, time);
  const steps = [step('M', n, 1, 3)];
  for (let i = 3; i < n.length; i += 6) {
    let same = i + 6 <= lastLine.length;
    for (let k = i; same && k < i + 6; k++) same = n[k] === lastLine[k];
    steps.push(same ? lastSteps[steps.length]! : step('C', n, i, i + 6));
  }
  [lastLine, lastSteps] = [n, steps];
  return steps.join('');
}

export const room = (lettering: string, time: number) => linesData(bridge.room(lettering, time));
export const tight = (lettering: string, time: number) => linesData(bridge.tight(lettering, time));

export interface PuckValues {
  pathOffset: number;
  baselineShift: number;
  side: 'left' | 'right';
}

export function dragPuck(
  lettering: string,
  time: number,
  x: number,
  y: number,
  across: boolean,
): PuckValues {
  return JSON.parse(bridge.dragPuck(lettering, time, x, y, across)) as PuckValues;
}

const rates = new Map<string, number>();

/** Frames per second of a rate such as "25" or "30000/1001". */
export function framesPerSecond(rate: string): number {
  const known = rates.get(rate);
  if (known !== undefined) return known;
  const asked = bridge.framesPerSecond(rate);
  rates.set(rate, asked);
  return asked;
}

/** The map back of one given as the six numbers of a matrix. */
export function inverse(matrix: number[]): number[] {
  return [...bridge.inverse(Float64Array.from(matrix))];
}

interface ChannelInfo {
  label: string;
  unit: string;
  min: number;
  max: number;
  colour: boolean;
  lags: boolean;
  follows: boolean;
  alongPath: boolean;
}

const channels = new Map<Channel, ChannelInfo>();

/** Label, unit, range and kind of a value that can move. */
function channelOf(channel: Channel): ChannelInfo {
  const known = channels.get(channel);
  if (known) return known;
  const asked = JSON.parse(bridge.channel(channel)) as ChannelInfo;
  channels.set(channel, asked);
  return asked;
}

/** What is wrong with a number typed for a value; nothing, if it is in range. */
export function outOfRange(channel: Channel, value: number): Problem[] {
  const c = channelOf(channel);
  if (value >= c.min && value <= c.max) return [];
  const allowed = `${c.min} to ${c.max} ${c.unit}`.trim();
  return [{ path: c.label, reason: `is ${value}, out of range`, allowed }];
}

export function labelOf(channel: Channel): string {
  return channelOf(channel).label;
}

/** Whether the numbers of a value are colours, 0xRRGGBB. */
export function isColour(channel: Channel): boolean {
  return channelOf(channel).colour;
}

/** Whether the letters of a lettering may have a value one after the other. */
export function mayLag(channel: Channel): boolean {
  return channelOf(channel).lags;
}

/** Whether a value of a lettering may follow that of another one. */
export function mayFollow(channel: Channel): boolean {
  return channelOf(channel).follows;
}

/** Whether a value tells how far along a path something is, so that it may land. */
export function isAlongPath(channel: Channel): boolean {
  return channelOf(channel).alongPath;
}

/** What moves a value beside its keyframes; nothing of one that is still. */
export function motionOf(item: string, channel: Channel): Partial<Motion> {
  const written: unknown = JSON.parse(bridge.motion(item, channel));
  return typeof written === 'object' && written !== null ? written : {};
}

export function unitOf(channel: Channel): string {
  return channelOf(channel).unit;
}

let kinds: ShapeKind[] | undefined;

/** A piece of sound; see the Java class Soundtrack. */
export interface Sound {
  /** Its number, for {@link soundGain}. */
  piece: number;
  image: string;
  at: number;
  seconds: number;
  from: number;
  speed: number;
}

/** What is heard of the opened scene. */
export function sounds(): Sound[] {
  const all = JSON.parse(bridge.sounds()) as Omit<Sound, 'piece'>[];
  return all.map((s, piece) => ({ ...s, piece }));
}

/** Items with all that they need, as JSON for {@code paste}. */
export function copied(items: string[]): string {
  return bridge.copied(items.join(' '));
}

/** What is seen wholly within a box of the frame, back to front. */
export function itemsWithin([x0, y0, x1, y1]: Box, time: number): string[] {
  return JSON.parse(bridge.itemsWithin(x0, y0, x1, y1, time)) as string[];
}

/** The shapes given by numbers, with small pictures of them. */
export function shapeKinds(): ShapeKind[] {
  kinds ??= JSON.parse(bridge.shapeKinds()) as ShapeKind[];
  return kinds;
}

export function knots(path: string, time: number): Knot[] {
  return JSON.parse(bridge.knots(path, time)) as Knot[];
}

/** A path that need not be in the scene, as a small picture and as path data. */
export function pathPicture(path: GuidePath): string {
  return bridge.pathPicture(JSON.stringify(path));
}

export function sketch(path: GuidePath): string {
  return bridge.sketch(JSON.stringify(path));
}

/** A profile's curve at equal steps, as the core draws it. */
export function profileLine(points: Pair[], count: number): Pair[] {
  const flat = bridge.profileLine(Float64Array.from(points.flat()), count);
  return Array.from({ length: flat.length / 2 }, (_, i) => [flat[2 * i]!, flat[2 * i + 1]!]);
}

/** The lines that path data draws, up to its first error. */
export function pathParts(data: string) {
  return JSON.parse(bridge.pathParts(data)) as {
    parts: FoundPath[];
    error?: string;
    position?: number;
  };
}

export const {
  putRun,
  framesOf,
  frameOf,
  frameTime,
  momentOf,
  footageAt,
  soundGain,
  putScene,
  clearScenes,
  sceneSize,
  forget,
  frame,
  blurred,
  light,
  lightValues,
  blurSamples,
  outline,
  outlineCount,
  image,
  corners,
  itemBox,
  frameBox,
  silhouette,
  keyTimes,
  shadowMarks,
  outlinesVersion,
  points,
  value,
  journey,
  charted,
  band,
  speed,
  endSpeeds,
  itemAt,
  groupTransform,
  roundTransform,
  pinPoints,
  pinArea,
  footagePixel,
  pinFrame,
  followedUntil,
  firstSeen,
  planeMap,
  planePath,
  planeBall,
  rideMark,
  pictureSquare,
  traceIn,
  traceFrom,
  traceTo,
  gradientEnds,
  dragGradient,
  lineGradientEnds,
  shareOfFrame,
  dragRide,
  outside,
  onFrame,
  pathData,
  bounds,
  thumb,
  marks,
  tenths,
  comb,
  simplified,
  pathsSvg,
  handles,
  dragStop,
  dragSeam,
  dragShift,
} = bridge;
