import { useQuery } from '@tanstack/react-query';
import { api, type Face } from '../api/client';
import { useEditor } from './editor';

const NONE: Face[] = [];

/** The shipped typefaces and those of the open project. */
export function useFaces(): Face[] {
  const project = useEditor((s) => s.projectId);
  const faces = useQuery({
    queryKey: ['faces', project],
    queryFn: () => api.faces(project ?? ''),
    enabled: project !== null,
    staleTime: Infinity,
  });
  return faces.data ?? NONE;
}
