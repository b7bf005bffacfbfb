import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Series } from '../../api/client';
import { asked, lacking, useHandOff } from '../../state/handOff';
import { notify } from '../../state/notices';

interface Props {
  scene: string;
  series: Series;
  /** Another table is wanted. */
  onOther: () => void;
  onMade: () => void;
}

/** The formats that every row becomes, and the making of them. */
export function MakeSeries({ scene, series, onOther, onMade }: Props) {
  const [formats, setFormats] = useState<string[]>(['mp4']);
  const choices = useHandOff((s) => s.choices);
  const client = useQueryClient();
  const list = useQuery({
    queryKey: ['series-formats', scene],
    queryFn: () => api.exportFormats(scene),
  });
  const able = (list.data ?? []).filter((f) => f.unsupportedReason === null);
  const chosen = able.filter((f) => formats.includes(f.id));
  const unclear = chosen.find((f) => lacking(f, choices[f.id]));
  const make = useMutation({
    mutationFn: () =>
      api.makeSeries(
        scene,
        chosen.map((f) => ({ format: f.id, options: asked(f) })),
      ),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['exports', scene] });
      notify('The series is being made: it is among the files, on the sheet Export.');
      onMade();
    },
  });
  const problem =
    series.problem ??
    (unclear && `${unclear.label} needs a choice first: see its Choices on the sheet.`) ??
    make.error?.message;
  const count = series.rows * chosen.length;
  return (
    <div className="mt-3">
      <div
        className="flex max-h-24 flex-wrap gap-1.5 overflow-y-auto"
        role="group"
        aria-label="Files that every row becomes"
      >
        {able.map((f) => (
          <button
            key={f.id}
            type="button"
            aria-pressed={formats.includes(f.id)}
            title={f.use}
            className={`rounded-full border px-2.5 py-0.5 ${
              formats.includes(f.id)
                ? 'border-teal bg-wash font-semibold text-teal'
                : 'border-rule text-soft hover:text-ink'
            }`}
            onClick={() =>
              setFormats((all) =>
                all.includes(f.id) ? all.filter((o) => o !== f.id) : [...all, f.id],
              )
            }
          >
            {f.label}
          </button>
        ))}
      </div>
      <p className="mt-1 text-[12px] text-soft">
        With the choices made on the sheet Export. Empty cells leave the scene as it is.
      </p>
      {problem && (
        <p role="alert" className="mt-1 text-vermilion">
          {problem}
        </p>
      )}
      <div className="mt-3 flex items-center gap-2">
        <button type="button" className="btn" onClick={onOther}>
          Another table
        </button>
        <span className="flex-1" />
        <button
          type="button"
          className="btn-main"
          disabled={
            count === 0 || series.problem !== null || unclear !== undefined || make.isPending
          }
          onClick={() => make.mutate()}
        >
          Make {count} {count === 1 ? 'file' : 'files'}
        </button>
      </div>
    </div>
  );
}
