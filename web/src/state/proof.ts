import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { create } from 'zustand';
import { api } from '../api/client';
import * as core from '../core/core';
import type { Finding } from '../core/core';
import { useKeeper } from './autosave';
import { useEditor } from './editor';

/** What is done first when a scene was opened or edited: ms in which nobody reads a list. */
const PATIENCE = 400;

/** What Proof finds in the scene; null before it has looked for the first time. */
export const useFindings = create<{ found: Finding[] | null }>(() => ({ found: null }));

/** How many there are, in words. */
export const countWords = (all: Finding[]) =>
  all.length === 0 ? 'nothing to look at' : `${all.length} to look at`;

/**
 * Keeps what is found up to date. One check after another: between them the hand is answered. Until
 * all have been made what was found the last time stays.
 */
export function useProof(): void {
  const sceneId = useEditor((s) => s.sceneId);
  // What was found in another scene is not to be mended in this one.
  useEffect(() => useFindings.setState({ found: null }), [sceneId]);
  const opened = useEditor((s) => s.opened);
  useEffect(() => {
    if (opened === 0) return;
    const found: Finding[] = [];
    let part = 0;
    let timer = setTimeout(look, PATIENCE);
    function look() {
      const more = core.findings(part++);
      if (more === null) {
        useFindings.setState({ found });
        return;
      }
      found.push(...more);
      timer = setTimeout(look);
    }
    return () => clearTimeout(timer);
  }, [opened]);
}

/**
 * What is found in the pictures themselves, which the server paints: contrast and flashes.
 *
 * @param asked whether it is to look now
 */
export function usePictureFindings(asked: boolean) {
  const sceneId = useEditor((s) => s.sceneId);
  const opened = useEditor((s) => s.opened);
  const kept = useKeeper((s) => s.state === 'kept');
  return useQuery({
    queryKey: ['proof', sceneId, opened],
    queryFn: async ({ signal }) => {
      const found: Finding[] = [];
      for (let from = 0; from >= 0 && !signal.aborted;) {
        const part = await api.pictureFindings(sceneId ?? '', from);
        found.push(...part.findings);
        from = part.next;
      }
      return found;
    },
    enabled: asked && kept && sceneId !== null,
    staleTime: Infinity,
    retry: 3,
  });
}
