import { Download, Star } from 'lucide-react';
import { useQueryClient } from '@tanstack/react-query';
import { api } from '../../api/client';
import * as core from '../../core/core';
import type { GuidePath } from '../../core/document';
import { useEditor } from '../../state/editor';
import { notify } from '../../state/notices';
import { saveText } from '../../state/paths';

/** The gallery of the project, and the paths as a file. */
export function FilesTools({ path }: { path: GuidePath | undefined }) {
  const project = useEditor((s) => s.projectId);
  const name = useEditor((s) => s.doc?.name ?? 'scene');
  const queries = useQueryClient();
  const keep = async () => {
    if (!path || !project) return;
    try {
      await api.keepCurve(project, path);
      await queries.invalidateQueries({ queryKey: ['curves', project] });
      notify(`“${path.name}” is in the gallery of this project.`);
    } catch (e) {
      notify(e instanceof Error ? e.message : 'The curve could not be kept', 'error');
    }
  };
  const save = () =>
    saveText(`${name} paths.svg`, 'image/svg+xml', core.pathsSvg(useEditor.getState().time));
  return (
    <div className="space-y-1.5">
      <button type="button" className="btn w-full" disabled={!path} onClick={() => void keep()}>
        <Star className="size-4" /> Keep this curve in the gallery
      </button>
      <button type="button" className="btn w-full" disabled={!path} onClick={save}>
        <Download className="size-4" /> Save the paths as SVG
      </button>
    </div>
  );
}
