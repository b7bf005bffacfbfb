import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Star, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { api } from '../../api/client';
import type { Effect } from '../../core/document';
import { useEditor } from '../../state/editor';
import { notify } from '../../state/notices';
import { Fold } from '../../ui/Fold';
import { IconButton } from '../../ui/IconButton';

interface Props {
  /** Of the chosen item, to be kept. */
  effects: Effect[];
  onUse: (effects: Effect[]) => void;
}

/** The finishes that the project keeps by name, and the present one to be kept. */
export function KeptFinishes({ effects, onUse }: Props) {
  const project = useEditor((s) => s.projectId) ?? '';
  const queries = useQueryClient();
  const kept = useQuery({ queryKey: ['finishes', project], queryFn: () => api.finishes(project) });
  const [name, setName] = useState('');
  const changed = () => queries.invalidateQueries({ queryKey: ['finishes', project] });
  const told = (e: unknown) =>
    notify(e instanceof Error ? e.message : 'The server did not answer', 'error');
  const keep = async () => {
    try {
      await api.keepFinish(project, name.trim(), effects);
      setName('');
      await changed();
      notify('The finish is kept with this project');
    } catch (e) {
      told(e);
    }
  };
  const all = kept.data ?? [];
  if (all.length === 0 && effects.length === 0) return null;
  return (
    <Fold title="Kept finishes" aside={all.length > 0 ? all.length : ''} plain>
      <ul className="space-y-1">
        {all.map((k) => (
          <li key={k.id} className="flex items-center gap-1">
            <button
              type="button"
              className="btn min-w-0 flex-1 justify-start px-2"
              onClick={() => onUse(k.effects)}
            >
              <span className="truncate">{k.name}</span>
            </button>
            <IconButton
              label={`Forget ${k.name}`}
              onClick={() => void api.removeFinish(project, k.id).then(changed, told)}
            >
              <Trash2 className="size-4" />
            </IconButton>
          </li>
        ))}
      </ul>
      {effects.length > 0 && (
        <form
          className="mt-1.5 flex items-center gap-1.5"
          onSubmit={(e) => {
            e.preventDefault();
            if (name.trim()) void keep();
          }}
        >
          <input
            className="field"
            aria-label="Name of the finish"
            placeholder="Name of this finish"
            maxLength={200}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <button type="submit" className="btn px-2" disabled={!name.trim()}>
            <Star className="size-4" /> Keep
          </button>
        </form>
      )}
    </Fold>
  );
}
