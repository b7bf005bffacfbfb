import * as bridge from './generated/core.js';
import type { Channel, EasingName, LandingName, SceneDoc } from './document';

/** What the core tells of an opened scene. */
export interface Summary {
  frames: number;
  paths: Record<string, { d: string; length: number; closed: boolean }>;
  items: Record<
    string,
    { channels: Partial<Record<Channel, KeyframeInfo[]>>; length?: number; comesRound?: boolean }
  >;
  poses: { time: number; label: string }[];
  findings: Finding[];
}

export interface KeyframeInfo {
  time: number;
  value: number;
  easing: EasingName;
  curve: [number, number, number, number];
  landing?: LandingName;
  laps?: number;
}

export interface Finding {
  message: string;
  item: string;
  time: number;
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
}

export type Opened =
  | { kind: 'open'; summary: Summary }
  | { kind: 'missing'; missing: RunRequest[] }
  | { kind: 'problems'; problems: Problem[] };

/** An edit that follows rules of the core; the Java class SceneEdits lists them. */
export type Edit = { op: string } & Record<string, unknown>;

export function open(document: SceneDoc, asFarAsPossible = false): Opened {
  const answer = JSON.parse(bridge.open(JSON.stringify(document), asFarAsPossible)) as Summary & {
    problems?: Problem[];
    missing?: RunRequest[];
  };
  if (answer.problems) return { kind: 'problems', problems: answer.problems };
  if (answer.missing) return { kind: 'missing', missing: answer.missing };
  return { kind: 'open', summary: answer };
}

/** The edited document, or what is wrong with the edit. */
export function edit(document: SceneDoc, change: Edit): SceneDoc | { error: string } {
  const text = bridge.edit(JSON.stringify(document), JSON.stringify(change));
  return JSON.parse(text) as SceneDoc | { error: string };
}

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

export const {
  putRun,
  frame,
  outline,
  outlineCount,
  value,
  journey,
  charted,
  band,
  speed,
  itemAt,
  outside,
  marks,
  handles,
  dragStop,
} = bridge;
