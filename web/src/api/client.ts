import type { Size } from '../state/frames';
import { takeAhead } from './ahead';
import type { Effect, Easing, GuidePath, PinFrame, SceneDoc } from '../core/document';
import type { Finding, FoundPath, Problem, RunRequest } from '../core/core';

export interface SceneEntry {
  id: string;
  projectId: string;
  name: string;
  revision: number;
  deleted: boolean;
}

/** A scene for others that show it. */
export interface ShownScene {
  id: string;
  name: string;
  document: SceneDoc;
}

export interface Project {
  id: string;
  name: string;
  deleted: boolean;
  scenes: SceneEntry[];
}

/** What a column of a series can be for. */
export interface SeriesField {
  path: string;
  /** The item that has it, as it is called. */
  item: string;
  label: string;
  kind: 'text' | 'colour' | 'number' | 'flag' | 'choice' | 'face' | 'picture';
  /** One of the few that designs are mostly varied by. */
  main: boolean;
}

/** A table whose rows vary a scene; without columns where there is none. */
export interface Series {
  revision: number;
  /** {@code field} is empty for a column that is not used. */
  columns: { heading: string; field: string }[];
  rows: number;
  fields: SeriesField[];
  /** What is in the way of making it, but for single cells. */
  problem: string | null;
}

export interface SeriesRow {
  /** From 0. */
  number: number;
  cells: string[];
  /** Cells that cannot stand in the field of their column. */
  bad: { column: number; reason: string }[];
  /** What Proof says of the scene with its values; null where that was not looked at. */
  findings: string[] | null;
}

/** What is in a project file that was uploaded. */
export interface ProjectFile {
  name: string;
  /** {@code known}: the server has it already. */
  parts: { kind: string; name: string; known: boolean }[];
  /** What to know before it is opened. */
  notes: string[];
}

export interface KeptScene {
  id: string;
  projectId: string;
  revision: number;
  savedAt: string;
  document: SceneDoc;
}

/** Something that was kept; {@code name} is null unless one was given. */
export interface Revision {
  revision: number;
  savedAt: string;
  name: string | null;
  /** What was done since the one before. */
  done: string | null;
}

export interface Axis {
  tag: string;
  name: string;
  least: number;
  greatest: number;
  start: number;
}

export interface Face {
  id: string;
  name: string;
  character: string;
  axes: Axis[];
  instances: { name: string; axes: Record<string, number> }[];
  features: { tag: string; name: string }[];
  copyright: string;
  licence: string;
  licenceUrl: string;
  /** Kept with the project, not shipped. */
  own: boolean;
}

export interface ExportStatus {
  id: string;
  /** Null of a document that was sent along by a pipeline; so is the scene's id. */
  projectId: string | null;
  sceneId: string | null;
  sceneName: string;
  fileName: string;
  format: string;
  /** What was chosen for it and is not as usual, in words. */
  choices: string;
  state: 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';
  framesDone: number;
  framesTotal: number;
  secondsLeft: number | null;
  askedAt: string;
  message: string | null;
  /** What it waits for besides its turn. */
  waitsFor: string | null;
  size: number | null;
}

/** A number that can be chosen for a file; what is initial depends on the scene where it is null. */
export interface NumberOption {
  kind: 'number';
  name: string;
  label: string;
  unit: string;
  min: number;
  max: number;
  initial: number | null;
  whole: boolean;
  /** The time of the playhead, unless another is chosen. */
  playhead: boolean;
}

export interface ChoiceOption {
  kind: 'choice';
  name: string;
  label: string;
  choices: { value: string; label: string }[];
  initial: string;
}

export interface ColourOption {
  kind: 'colour';
  name: string;
  label: string;
}

export type ExportOption = NumberOption | ChoiceOption | ColourOption;

/** What was chosen for a file, by the names of options. */
export type ExportChoices = Record<string, number | string>;

/** A kind of file, and what it makes of the scene asked for. */
export interface ExportFormat {
  id: string;
  /** What such files are made for. */
  group: string;
  label: string;
  noun: string;
  use: string;
  extension: string;
  options: ExportOption[];
  frames: number;
  unsupportedReason: string | null;
  note: string | null;
}

/** What a file would be: sizes in px, 0 where there are no images; null for what is not known. */
export interface ExportPlan {
  frames: number;
  width: number;
  height: number;
  seconds: number;
  unsupportedReason: string | null;
  note: string | null;
  bytes: number | null;
  workSeconds: number | null;
}

/** Files that are made together, kept with a project. */
export interface FileSet {
  id: string;
  name: string;
  files: { format: string; options: ExportChoices }[];
}

/** How the files of a project are called, and after how many days finished ones go; 0 is never. */
export interface HandOffSettings {
  fileNames: string;
  keepDays: number;
}

export interface KeptImage {
  id: string;
  width: number;
  height: number;
}

/** Footage of a project; width and height are its natural size, px. */
export interface KeptFootage {
  id: string;
  name: string;
  width: number;
  height: number;
  /** Frames in one second, on average. */
  rate: number;
  /** Seconds. */
  length: number;
  sound: boolean;
  size: number;
  state: 'preparing' | 'ready' | 'failed';
  /** 0 to 1, while it is being prepared. */
  done: number;
  /** Why it failed. */
  message: string | null;
  used: boolean;
}

/** A picture of a project; width and height are its natural size, px. */
export interface KeptPicture {
  id: string;
  name: string;
  width: number;
  height: number;
  /** Whether a scene of the project shows it. */
  used: boolean;
}

export interface KeptEasing {
  id: string;
  name: string;
  curve: Easing;
}

export interface KeptFinish {
  id: string;
  name: string;
  effects: Effect[];
}

export interface KeptCurve {
  id: string;
  name: string;
  path: GuidePath;
}

/** A refusal of the server, in its own words (RFC 9457), or that it cannot be reached (status 0). */
export class ServerError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly problems: Problem[] = [],
    /** What a refused save tells of the present state. */
    readonly more?: { revision?: number; keysSince?: string[] },
  ) {
    super(message);
  }
}

async function ask<T>(method: string, url: string, body?: string | Blob, headers = {}): Promise<T> {
  let response: Response;
  try {
    response = await (takeAhead(method, url) ??
      fetch(url, {
        method,
        body,
        headers: body === undefined ? headers : { 'Content-Type': 'application/json', ...headers },
      }));
  } catch {
    throw new ServerError(0, 'The server cannot be reached. It is tried again by itself.');
  }
  const text = await response.text();
  if (response.ok) return (text ? JSON.parse(text) : undefined) as T;
  let problem: {
    detail?: string;
    problems?: Problem[];
    revision?: number;
    keysSince?: string[];
  } = {};
  try {
    problem = JSON.parse(text) as typeof problem;
  } catch {
    // Not the server's own answer; the status says enough.
  }
  throw new ServerError(
    response.status,
    problem.detail ?? `The server answered with status ${response.status}`,
    problem.problems,
    problem,
  );
}

const json = JSON.stringify;

/** Marks in the frame of a moment, to be followed until that of another. */
export interface FollowMarks {
  moment: number;
  until: number;
  points: [number, number][];
  /** Of something flat the part that is followed, in shares between its corners. */
  area?: [number, number][];
}

/**
 * Follows marks in footage; every frame is told as it is found.
 *
 * @returns why it ended
 */
export async function followFootage(
  id: string,
  marks: FollowMarks,
  signal: AbortSignal,
  onFrame: (frame: PinFrame) => void,
): Promise<'done' | 'lost' | 'flat'> {
  let response: Response;
  try {
    response = await fetch(`/api/footage/${id}/follow`, {
      method: 'POST',
      body: json(marks),
      headers: { 'Content-Type': 'application/json' },
      signal,
    });
    if (response.ok && response.body) return await readFrames(response.body, onFrame);
  } catch (e) {
    if (signal.aborted) throw e;
    throw new ServerError(0, 'The connection to the server was lost. Follow on from here.');
  }
  const problem = (await response.json().catch(() => ({}))) as { detail?: string };
  throw new ServerError(
    response.status,
    problem.detail ?? `The server answered with status ${response.status}`,
  );
}

async function readFrames(body: ReadableStream<Uint8Array>, onFrame: (frame: PinFrame) => void) {
  const reader = body.getReader();
  const text = new TextDecoder();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) throw new Error('It ended before its time');
    const lines = (rest + text.decode(value, { stream: true })).split('\n');
    rest = lines.pop()!;
    for (const line of lines) {
      const told = JSON.parse(line) as PinFrame | { ended: 'done' | 'lost' | 'flat' };
      if ('ended' in told) return told.ended;
      onFrame(told);
    }
  }
}

const savePath = (id: string, done: string) =>
  `/api/scenes/${id}${done && `?done=${encodeURIComponent(done.slice(0, 400))}`}`;

/** Where the web snippet of a scene is, or a page to try it on. */
export const snippetPath = (
  scene: string,
  what: 'snippet' | 'try-out',
  options: ExportChoices,
): string => `/api/scenes/${scene}/${what}?options=${encodeURIComponent(JSON.stringify(options))}`;

const BYTES = { 'Content-Type': 'application/octet-stream' };

export const api = {
  svgPaths: (file: Blob) =>
    ask<{ paths: FoundPath[]; notes: string[] }>('POST', '/api/svg-paths', file, BYTES),
  /** An SVG file as filled shapes; none where it is more than these. */
  svgDrawing: (file: Blob) =>
    ask<{ width: number; height: number; parts: { d: string; fill: string }[] }>(
      'POST',
      '/api/svg-drawing',
      file,
      BYTES,
    ),
  keepImage: (file: Blob) => ask<KeptImage>('POST', '/api/images', file, BYTES),
  pictures: (project: string) => ask<KeptPicture[]>('GET', `/api/projects/${project}/pictures`),
  keepPicture: (project: string, name: string, file: Blob) =>
    ask<KeptPicture>(
      'POST',
      `/api/projects/${project}/pictures?name=${encodeURIComponent(name)}`,
      file,
      BYTES,
    ),
  removePicture: (project: string, id: string, used: boolean) =>
    ask<void>('DELETE', `/api/projects/${project}/pictures/${id}?used=${used}`),
  /** The sizes in which a picture is kept for painting, the largest first. */
  pictureLevels: (id: string) =>
    ask<{ width: number; height: number }[]>('GET', `/api/pictures/${id}/levels`),
  footage: (project: string) => ask<KeptFootage[]>('GET', `/api/projects/${project}/footage`),
  removeFootage: (project: string, id: string, used: boolean) =>
    ask<void>('DELETE', `/api/projects/${project}/footage/${id}?used=${used}`),
  footageFrames: (id: string) =>
    ask<{ times: number[]; runs: number[]; type: string; width: number; height: number }>(
      'GET',
      `/api/footage/${id}/frames`,
    ),
  beginUpload: (project: string, name: string, size: number) =>
    ask<{ id: string }>('POST', `/api/projects/${project}/uploads`, json({ name, size })),
  /** How many pieces are there, from the first on. */
  upload: (id: string) => ask<{ received: number }>('GET', `/api/uploads/${id}`),
  putPiece: (id: string, number: number, piece: Blob) =>
    ask<void>('PUT', `/api/uploads/${id}/pieces/${number}`, piece, BYTES),
  /** @param rate of numbered stills, as in a scene */
  endUpload: (id: string, rate?: string) =>
    ask<KeptFootage>(
      'POST',
      `/api/uploads/${id}/end${rate ? `?rate=${encodeURIComponent(rate)}` : ''}`,
    ),
  beginProjectFile: (name: string, size: number) =>
    ask<{ id: string }>('POST', '/api/project-files', json({ name, size })),
  lookIntoProjectFile: (id: string) => ask<ProjectFile>('GET', `/api/project-files/${id}`),
  /** @param target its name if it becomes a project of its own, else the project that takes it */
  openProjectFile: (id: string, target: { name: string } | { project: string }) =>
    ask<Project>('POST', `/api/project-files/${id}/open`, json(target)),
  giveUpUpload: (id: string) => ask<void>('DELETE', `/api/uploads/${id}`),
  curves: (project: string) => ask<KeptCurve[]>('GET', `/api/projects/${project}/curves`),
  keepCurve: (project: string, path: GuidePath) =>
    ask<KeptCurve>('POST', `/api/projects/${project}/curves`, json(path)),
  removeCurve: (project: string, id: string) =>
    ask<void>('DELETE', `/api/projects/${project}/curves/${id}`),
  easings: (project: string) => ask<KeptEasing[]>('GET', `/api/projects/${project}/easings`),
  keepEasing: (project: string, name: string, curve: Easing) =>
    ask<KeptEasing>('POST', `/api/projects/${project}/easings`, json({ name, curve })),
  removeEasing: (project: string, id: string) =>
    ask<void>('DELETE', `/api/projects/${project}/easings/${id}`),
  finishes: (project: string) => ask<KeptFinish[]>('GET', `/api/projects/${project}/finishes`),
  keepFinish: (project: string, name: string, effects: Effect[]) =>
    ask<KeptFinish>('POST', `/api/projects/${project}/finishes`, json({ name, effects })),
  removeFinish: (project: string, id: string) =>
    ask<void>('DELETE', `/api/projects/${project}/finishes/${id}`),
  /** Some scenes of a project and all that these show; those that are gone are left out. */
  shownScenes: (project: string, ids: string[]) =>
    ask<ShownScene[]>(
      'GET',
      `/api/projects/${project}/shown-scenes?${ids.map((id) => `scene=${id}`).join('&')}`,
    ),
  projects: () => ask<Project[]>('GET', '/api/projects'),
  createProject: (name: string) => ask<Project>('POST', '/api/projects', json({ name })),
  renameProject: (id: string, name: string) =>
    ask<Project>('PATCH', `/api/projects/${id}`, json({ name })),
  duplicateProject: (id: string) => ask<Project>('POST', `/api/projects/${id}/duplicate`),
  deleteProject: (id: string) => ask<Project>('DELETE', `/api/projects/${id}`),
  restoreProject: (id: string) => ask<Project>('POST', `/api/projects/${id}/restore`),
  createScene: (project: string, name: string, [width, height]: Size) =>
    ask<KeptScene>('POST', `/api/projects/${project}/scenes`, json({ name, width, height })),
  scene: (id: string) => ask<KeptScene>('GET', `/api/scenes/${id}`),
  renameScene: (id: string, name: string) =>
    ask<KeptScene>('PATCH', `/api/scenes/${id}`, json({ name })),
  duplicateScene: (id: string) => ask<KeptScene>('POST', `/api/scenes/${id}/duplicate`),
  deleteScene: (id: string, used: boolean) => ask<void>('DELETE', `/api/scenes/${id}?used=${used}`),
  restoreScene: (id: string) => ask<void>('POST', `/api/scenes/${id}/restore`),
  /** A save with the same key is kept once, however often it is sent. */
  saveScene: (id: string, revision: number, document: SceneDoc, key: string, done: string) =>
    ask<{ revision: number }>('PUT', savePath(id, done), json(document), {
      'If-Match': `"${revision}"`,
      'Idempotency-Key': key,
    }),
  revisions: (id: string) => ask<Revision[]>('GET', `/api/scenes/${id}/revisions`),
  revision: (id: string, revision: number) =>
    ask<Revision & { document: SceneDoc }>('GET', `/api/scenes/${id}/revisions/${revision}`),
  nameRevision: (id: string, revision: number, name: string) =>
    ask<void>('PATCH', `/api/scenes/${id}/revisions/${revision}`, json({ name })),
  faces: (project: string) => ask<Face[]>('GET', `/api/faces?project=${project}`),
  keepFace: (project: string, file: Blob) =>
    ask<Face>('POST', `/api/projects/${project}/faces`, file, BYTES),
  removeFace: (project: string, id: string) =>
    ask<void>('DELETE', `/api/projects/${project}/faces/${id}`),
  /** The server shapes a limited number of texts at a time. */
  shape: async (runs: RunRequest[]) => {
    const out: unknown[] = [];
    for (let i = 0; i < runs.length;) {
      let end = i;
      let characters = 0;
      while (end < runs.length && end - i < 100) {
        characters += runs[end]!.text.length;
        if (end > i && characters > 50_000) break;
        end++;
      }
      out.push(...(await ask<unknown[]>('POST', '/api/shape', json(runs.slice(i, end)))));
      i = end;
    }
    return out;
  },
  pictureFindings: (scene: string, from: number) =>
    ask<{ findings: Finding[]; next: number }>('GET', `/api/scenes/${scene}/proof?from=${from}`),
  exports: (scene: string) => ask<ExportStatus[]>('GET', `/api/scenes/${scene}/exports`),
  exportFormats: (scene: string) =>
    ask<ExportFormat[]>('GET', `/api/export-formats?scene=${encodeURIComponent(scene)}`),
  series: (scene: string) => ask<Series>('GET', `/api/scenes/${scene}/series`),
  putSeries: (scene: string, table: Blob) =>
    ask<Series>('PUT', `/api/scenes/${scene}/series`, table, BYTES),
  matchSeries: (scene: string, fields: string[]) =>
    ask<Series>('PUT', `/api/scenes/${scene}/series/columns`, json({ fields })),
  seriesRows: (scene: string, from: number, count: number) =>
    ask<SeriesRow[]>('GET', `/api/scenes/${scene}/series/rows?from=${from}&count=${count}`),
  adjustRow: (scene: string, row: number, cells: string[]) =>
    ask<SeriesRow>('PUT', `/api/scenes/${scene}/series/rows/${row}`, json({ cells })),
  makeSeries: (scene: string, files: FileSet['files']) =>
    ask<ExportStatus>('POST', `/api/scenes/${scene}/series/files`, json({ files })),
  createExport: (scene: string, format: string, options: ExportChoices) =>
    ask<ExportStatus>('POST', `/api/scenes/${scene}/exports`, json({ format, options })),
  exportPlan: (scene: string, format: string, options: ExportChoices) =>
    ask<ExportPlan>('POST', `/api/scenes/${scene}/export-plan`, json({ format, options })),
  /** The web snippet of a scene as it is kept, to be copied. */
  snippet: (scene: string, options: ExportChoices) =>
    ask<{ code: string }>('GET', snippetPath(scene, 'snippet', options)),
  exportAgain: (id: string) => ask<ExportStatus>('POST', `/api/exports/${id}/again`),
  allExports: (project: string | null) =>
    ask<ExportStatus[]>('GET', `/api/exports${project ? `?project=${project}` : ''}`),
  fileSets: (project: string) => ask<FileSet[]>('GET', `/api/projects/${project}/file-sets`),
  keepFileSet: (project: string, name: string, files: FileSet['files']) =>
    ask<FileSet>('POST', `/api/projects/${project}/file-sets`, json({ name, files })),
  forgetFileSet: (project: string, id: string) =>
    ask<void>('DELETE', `/api/projects/${project}/file-sets/${id}`),
  handOff: (project: string) => ask<HandOffSettings>('GET', `/api/projects/${project}/hand-off`),
  changeHandOff: (project: string, change: Partial<HandOffSettings>) =>
    ask<HandOffSettings>('PUT', `/api/projects/${project}/hand-off`, json(change)),
  removeExport: (id: string) => ask<void>('DELETE', `/api/exports/${id}`),
};
