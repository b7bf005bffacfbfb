import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { RefreshCw, X } from 'lucide-react';
import { useState } from 'react';
import { api, type ExportStatus } from '../api/client';
import { DownloadLink, FileState, isBusy } from '../sheets/export/FileRow';
import { useEditor } from '../state/editor';
import { useFiles } from '../state/handOff';
import { notify } from '../state/notices';
import { Choice, Segments } from '../ui/Choice';
import { Modal } from '../ui/Modal';
import { momentWords } from './moments';

const tell = (e: Error) => notify(e.message, 'error');
const close = () => useFiles.setState({ open: false });

/** The files of all scenes, how they are called and how long they stay. */
export function FilesDialog() {
  const open = useFiles((s) => s.open);
  return (
    <Modal title="Files" open={open} onClose={close} wide>
      <AllFiles />
    </Modal>
  );
}

type Whose = 'project' | 'all';

function AllFiles() {
  const project = useEditor((s) => s.projectId) ?? '';
  const [whose, setWhose] = useState<Whose>('project');
  const client = useQueryClient();
  const key = ['all-exports', whose === 'project' ? project : null];
  const refresh = () => client.invalidateQueries({ queryKey: key });
  const list = useQuery({
    queryKey: key,
    queryFn: () => api.allExports(whose === 'project' ? project : null),
    refetchInterval: (q) => (q.state.data?.some(isBusy) ? 600 : 5000),
  });
  const remove = useMutation({ mutationFn: api.removeExport, onSettled: refresh, onError: tell });
  const again = useMutation({ mutationFn: api.exportAgain, onSettled: refresh, onError: tell });
  return (
    <div className="flex h-[68vh] min-h-0 flex-col">
      <Settings project={project} />
      <div className="my-3 max-w-md">
        <Segments<Whose>
          label="Files of"
          value={whose}
          options={[
            { value: 'project', label: 'this project' },
            { value: 'all', label: 'all projects' },
          ]}
          onChange={setWhose}
        />
      </div>
      <ul className="min-h-0 flex-1 space-y-1.5 overflow-y-auto" aria-label="Files made">
        {list.data?.map((f) => (
          <Row
            key={f.id}
            file={f}
            onAgain={() => again.mutate(f.id)}
            onRemove={() => remove.mutate(f.id)}
          />
        ))}
        {list.data?.length === 0 && (
          <li className="text-soft">
            No file was made yet. Make one on the sheet Export of any scene.
          </li>
        )}
      </ul>
    </div>
  );
}

function Row(props: { file: ExportStatus; onAgain: () => void; onRemove: () => void }) {
  const { file, onAgain, onRemove } = props;
  const busy = isBusy(file);
  return (
    <li className="flex items-center gap-3 rounded-lg bg-paper p-2">
      <img
        src={`/api/exports/${file.id}/picture`}
        alt=""
        loading="lazy"
        className="h-12 w-18 shrink-0 rounded-sm bg-surround object-contain"
      />
      <div className="min-w-0 flex-1">
        <p className="truncate font-medium">{file.fileName}</p>
        <p className="truncate text-[12px] text-soft">
          {file.sceneName} · {momentWords(file.askedAt)}
          {file.choices && ` · ${file.choices}`}
        </p>
        <FileState file={file} />
      </div>
      {file.state === 'done' && <DownloadLink file={file} />}
      {!busy && (
        <button
          type="button"
          className="btn"
          aria-label={`Make ${file.fileName} again`}
          title="The same file of its scene as that is now"
          onClick={onAgain}
        >
          <RefreshCw className="size-3.5" /> Again
        </button>
      )}
      <button
        type="button"
        className="p-0.5 text-soft hover:text-ink"
        aria-label={busy ? `Cancel ${file.fileName}` : `Remove ${file.fileName}`}
        title={busy ? 'Cancel' : 'Remove'}
        onClick={onRemove}
      >
        <X className="size-4" />
      </button>
    </li>
  );
}

const DAYS: { value: string; label: string }[] = [
  { value: '7', label: '7 days' },
  { value: '30', label: '30 days' },
  { value: '90', label: '90 days' },
  { value: '365', label: 'a year' },
  { value: '0', label: 'for ever' },
];

/** How files are called and how long finished ones stay, for the project. */
function Settings({ project }: { project: string }) {
  const client = useQueryClient();
  const key = ['hand-off', project];
  const settings = useQuery({ queryKey: key, queryFn: () => api.handOff(project) });
  const change = useMutation({
    mutationFn: (c: { fileNames?: string; keepDays?: number }) => api.changeHandOff(project, c),
    onSettled: () => client.invalidateQueries({ queryKey: key }),
  });
  const now = settings.data;
  if (!now) return null;
  const days = DAYS.some((d) => d.value === `${now.keepDays}`)
    ? DAYS
    : [...DAYS, { value: `${now.keepDays}`, label: `${now.keepDays} days` }];
  return (
    <div className="grid grid-cols-2 items-start gap-x-5 max-[760px]:grid-cols-1">
      <div>
        <Names
          key={now.fileNames}
          names={now.fileNames}
          onChange={(fileNames) => change.mutate({ fileNames })}
        />
        <p className="text-[12px] leading-snug text-soft">
          In braces: project, scene, format, size, date, time, number. A name that is taken gets a
          number.
        </p>
        {change.error && (
          <p role="alert" className="mt-1 text-[12px] text-vermilion">
            {change.error.message}
          </p>
        )}
      </div>
      <div>
        <Choice
          label="Kept for"
          value={`${now.keepDays}`}
          options={days}
          onChange={(d) => change.mutate({ keepDays: Number(d) })}
        />
        <p className="text-[12px] leading-snug text-soft">
          Finished files go after that time. Any can be made again while its scene is there.
        </p>
      </div>
    </div>
  );
}

function Names({ names, onChange }: { names: string; onChange: (names: string) => void }) {
  const [text, setText] = useState(names);
  const commit = () => text !== names && onChange(text);
  return (
    <label className="mb-1.5 flex items-center gap-2">
      <span className="w-23 shrink-0 text-soft">Called</span>
      <input
        className="field"
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={commit}
        onKeyDown={(e) => e.key === 'Enter' && commit()}
      />
    </label>
  );
}
