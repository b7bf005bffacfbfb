import { useQuery } from '@tanstack/react-query';
import { api, type SceneEntry } from '../api/client';
import { useEditor } from './editor';

export function useProjects() {
  return useQuery({ queryKey: ['projects'], queryFn: api.projects });
}

/** The other scenes of the open project, in its order. */
export function useOtherScenes(): SceneEntry[] {
  const projects = useProjects().data ?? [];
  const project = useEditor((s) => s.projectId);
  const open = useEditor((s) => s.sceneId);
  const all = projects.find((p) => p.id === project)?.scenes ?? [];
  return all.filter((s) => !s.deleted && s.id !== open);
}
