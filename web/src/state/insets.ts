import { api, type SceneEntry } from '../api/client';
import * as core from '../core/core';
import { applyEdit, select, takeScenes, useEditor } from './editor';
import { newId } from './itemActions';
import { notify } from './notices';

/** What a dragged scene is called among the kinds of things that can be dropped. */
export const DRAGGED_SCENE = 'application/x-roving-glyph-scene';

/** What of a scene is dragged. */
export type Dragged = Pick<SceneEntry, 'id' | 'projectId' | 'name'>;

/** Adds a scene of the project as an inset, with its middle at a place, and opens Dress. */
export async function addInset(shown: Dragged, at?: [number, number]): Promise<void> {
  if (!(await canShow(shown))) return;
  const [width = 0, height = 0] = core.sceneSize(shown.id);
  if (width === 0) return;
  const id = newId();
  const place = at && { x: at[0], y: at[1] };
  const edit = { op: 'addInset' as const, id, name: shown.name, scene: shown.id, width, height };
  if (applyEdit({ ...edit, ...place }).length > 0) return;
  select(id);
  useEditor.setState({ tab: 'dress' });
}

/** Puts another scene in the place of the one that an inset shows. */
export async function showAnother(item: string, shown: Dragged): Promise<void> {
  if (await canShow(shown)) applyEdit({ op: 'showScene', item, scene: shown.id });
}

/** Has a scene at hand, and says so if it cannot be shown in the open one. */
async function canShow({ id, name, projectId }: Dragged): Promise<boolean> {
  const { sceneId, projectId: own } = useEditor.getState();
  if (!sceneId) return false;
  if (projectId !== own) {
    notify(`“${name}” is a scene of another project. Only those of this one can be shown here.`);
    return false;
  }
  try {
    await takeScenes([id]);
  } catch (e) {
    notify(e instanceof Error ? e.message : `“${name}” could not be fetched`, 'error');
    return false;
  }
  if (useEditor.getState().sceneId !== sceneId) return false;
  const refused = core.showingRefused(sceneId, id);
  if (refused.length === 0) return true;
  notify(await why(refused, name), 'error');
  return false;
}

async function why(refused: string[], name: string): Promise<string> {
  if (refused.length === 1) return `With “${name}” there would be more than 300 insets.`;
  const scenes = (await api.projects()).flatMap((p) => p.scenes);
  const names = refused.map((id) => `“${scenes.find((s) => s.id === id)?.name ?? id}”`);
  if (names.length === 2) return 'A scene cannot be shown in itself.';
  return `A scene cannot be shown in itself: ${names.join(' shows ')}.`;
}
