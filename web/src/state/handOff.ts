import { create } from 'zustand';
import type { ExportChoices, ExportFormat, ExportOption } from '../api/client';
import type { SceneDoc } from '../core/document';
import { useEditor } from './editor';

/** What is chosen for each format, by its id, and which are to be made together. */
interface HandOff {
  choices: Record<string, ExportChoices>;
  ticked: string[];
}

export const useHandOff = create<HandOff>(() => ({ choices: {}, ticked: [] }));

/** Whether the list of the files of all scenes is open. */
export const useFiles = create<{ open: boolean }>(() => ({ open: false }));

export const showFiles = () => useFiles.setState({ open: true });

/** Whether the series of the scene is open. */
export const useSeries = create<{ open: boolean }>(() => ({ open: false }));

export const showSeries = () => useSeries.setState({ open: true });

/** What the web snippet is tried out with; null while it is not. */
export const useTryOut = create<{ choices: ExportChoices | null }>(() => ({ choices: null }));

/** Chooses a value; undefined for what is usual. */
export function choose(format: string, option: string, value: number | string | undefined): void {
  useHandOff.setState((s) => {
    const own = { ...s.choices[format] };
    if (value === undefined) delete own[option];
    else own[option] = value;
    return { choices: { ...s.choices, [format]: own } };
  });
}

export function tick(format: string, on: boolean): void {
  useHandOff.setState((s) => ({
    ticked: on ? [...s.ticked, format] : s.ticked.filter((f) => f !== format),
  }));
}

/** What holds where nothing is chosen; undefined for what has to be chosen. */
export function usual(o: ExportOption, doc: SceneDoc, frames: number): number | string | undefined {
  if (o.kind === 'colour') return undefined;
  if (o.initial !== null) return o.initial;
  return o.name === 'to' ? frames - 1 : (doc.blur?.samples ?? undefined);
}

/** What is asked for: what was chosen, and the time of the playhead for what shows one frame. */
export function asked(format: ExportFormat): ExportChoices {
  const { time } = useEditor.getState();
  const own = useHandOff.getState().choices[format.id] ?? {};
  const out: ExportChoices = {};
  for (const o of format.options) {
    const value = own[o.name] ?? (o.kind === 'number' && o.playhead ? time : undefined);
    if (value !== undefined) out[o.name] = value;
  }
  return out;
}

/** What still has to be chosen before it can be made. */
export const lacking = (format: ExportFormat, own: ExportChoices | undefined) =>
  format.options.find((o) => o.kind === 'colour' && own?.[o.name] === undefined);
