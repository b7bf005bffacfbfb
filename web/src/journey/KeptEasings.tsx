import { MenuItem } from '@headlessui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Star, X } from 'lucide-react';
import { api } from '../api/client';
import { byNumbers, type Easing } from '../core/document';
import type { KeyframeInfo } from '../core/core';
import { useEditor } from '../state/editor';
import { notify } from '../state/notices';

interface Props {
  info: KeyframeInfo;
  onChoose: (easing: Easing) => void;
}

/** The easings kept with the project, and the present one to be kept. */
export function KeptEasings({ info, onChoose }: Props) {
  const project = useEditor((s) => s.projectId) ?? '';
  const queries = useQueryClient();
  const kept = useQuery({ queryKey: ['easings', project], queryFn: () => api.easings(project) });
  const changed = () => queries.invalidateQueries({ queryKey: ['easings', project] });
  const own = info.easing === 'own';
  const numbered = info.numbers.length > 0;
  const keep = async () => {
    const n = (kept.data?.length ?? 0) + 1;
    try {
      await api.keepEasing(
        project,
        own ? `Own curve ${n}` : `${info.easing} ${n}`,
        own ? info.curve : byNumbers(info.easing, info.numbers),
      );
      await changed();
      notify('The easing is kept with this project.');
    } catch (e) {
      notify(e instanceof Error ? e.message : 'The easing could not be kept', 'error');
    }
  };
  return (
    <>
      {kept.data?.map((k) => (
        <MenuItem key={k.id}>
          <span className="menu-item justify-between border-t border-rule">
            <button type="button" className="flex-1 text-left" onClick={() => onChoose(k.curve)}>
              {k.name}
            </button>
            <button
              type="button"
              className="text-soft hover:text-vermilion"
              aria-label={`Forget ${k.name}`}
              onClick={() => void api.removeEasing(project, k.id).then(changed)}
            >
              <X className="size-3.5" />
            </button>
          </span>
        </MenuItem>
      ))}
      {(own || numbered) && (
        <MenuItem>
          <button
            type="button"
            className="menu-item border-t border-rule"
            onClick={() => void keep()}
          >
            <Star className="size-3.5" /> Keep this one
          </button>
        </MenuItem>
      )}
    </>
  );
}
