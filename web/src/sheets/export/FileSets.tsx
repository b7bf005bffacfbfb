import { useQuery, useQueryClient } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { useState } from 'react';
import { api, type ExportFormat, type FileSet } from '../../api/client';
import { asked, lacking, useHandOff } from '../../state/handOff';
import { useEditor } from '../../state/editor';
import { notify } from '../../state/notices';

interface Props {
  formats: ExportFormat[];
  disabled: boolean;
  onMake: (files: FileSet['files']) => void;
}

const tell = (e: unknown) => notify(e instanceof Error ? e.message : String(e), 'error');

/** The sets of files that the project keeps: each is made by one press. */
export function FileSets({ formats, disabled, onMake }: Props) {
  const project = useEditor((s) => s.projectId) ?? '';
  const client = useQueryClient();
  const sets = useQuery({ queryKey: ['file-sets', project], queryFn: () => api.fileSets(project) });
  const labels = (set: FileSet) =>
    set.files.map((f) => formats.find((o) => o.id === f.format)?.label ?? f.format).join(', ');
  const forget = (set: FileSet) =>
    api
      .forgetFileSet(project, set.id)
      .then(() => client.invalidateQueries({ queryKey: ['file-sets', project] }))
      .catch(tell);
  if (!sets.data?.length) return null;
  return (
    <ul className="mb-3 space-y-1.5" aria-label="Sets of files">
      {sets.data.map((set) => (
        <li key={set.id} className="flex items-center gap-2 rounded-lg bg-paper p-2">
          <span className="min-w-0 flex-1">
            <span className="block truncate font-semibold">{set.name}</span>
            <span className="block text-[12px] leading-snug text-soft">{labels(set)}</span>
          </span>
          <button
            type="button"
            className="btn shrink-0"
            disabled={disabled}
            aria-label={`Make all of ${set.name}`}
            onClick={() => onMake(set.files)}
          >
            Make {set.files.length}
          </button>
          <button
            type="button"
            className="p-0.5 text-soft hover:text-ink"
            aria-label={`Forget ${set.name}`}
            title="Forget this set"
            onClick={() => void forget(set)}
          >
            <X className="size-4" />
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Makes those that are ticked, and keeps them as a set under a name. */
export function Ticked({ formats, disabled, onMake }: Props) {
  const project = useEditor((s) => s.projectId) ?? '';
  const client = useQueryClient();
  const ticked = useHandOff((s) => s.ticked);
  const choices = useHandOff((s) => s.choices);
  const [name, setName] = useState<string | null>(null);
  const chosen = formats.filter((f) => ticked.includes(f.id));
  if (chosen.length === 0) return null;
  const lacks = chosen.find((f) => lacking(f, choices[f.id]));
  const files = () => chosen.map((f) => ({ format: f.id, options: asked(f) }));
  const keep = () => {
    // A set shows what the playhead shows when it is made, not when it was kept.
    const lasting = chosen.map((f) => ({ format: f.id, options: choices[f.id] ?? {} }));
    void api
      .keepFileSet(project, name?.trim() ?? '', lasting)
      .then(() => {
        setName(null);
        useHandOff.setState({ ticked: [] });
        return client.invalidateQueries({ queryKey: ['file-sets', project] });
      })
      .catch(tell);
  };
  return (
    <section
      className="sticky bottom-0 z-10 -mx-4 border-t border-rule bg-sheet px-4 py-2.5"
      aria-label="Ticked files"
    >
      {lacks && (
        <p className="mb-1.5 text-[12px] text-ochre">
          {lacks.label} still wants to know what is behind the scene.
        </p>
      )}
      <div className="flex flex-wrap gap-1.5">
        <button
          type="button"
          className="btn-main"
          disabled={disabled || lacks !== undefined}
          onClick={() => onMake(files())}
        >
          {chosen.length === 1 ? 'Make 1 file' : `Make ${chosen.length} files`}
        </button>
        {name === null ? (
          <button type="button" className="btn" onClick={() => setName('')}>
            Keep as a set…
          </button>
        ) : (
          <form
            className="flex w-full gap-1.5"
            onSubmit={(e) => {
              e.preventDefault();
              if (name.trim()) keep();
            }}
          >
            <input
              className="field min-w-0 flex-1"
              aria-label="Name of the set"
              placeholder="For whom, or what for"
              autoFocus
              value={name}
              onChange={(e) => setName(e.target.value)}
            />
            <button type="submit" className="btn" disabled={!name.trim()}>
              Keep
            </button>
          </form>
        )}
      </div>
    </section>
  );
}
