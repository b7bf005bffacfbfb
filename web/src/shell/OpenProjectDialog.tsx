import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, type Project, type ProjectFile } from '../api/client';
import { openScene } from '../state/autosave';
import { useEditor } from '../state/editor';
import { useOpenProject } from '../state/projectFile';
import { useProjects } from '../state/projects';
import { sendPieces } from '../state/uploading';
import { Segments } from '../ui/Choice';
import { FileInput } from '../ui/FileInput';
import { Modal } from '../ui/Modal';

const close = () => useOpenProject.setState({ open: false });

/** What a ZIP without later extensions can hold; the server says no as well. */
const LARGEST = 0xfffffffe;

/** A project file from the disk: what is in it, and where it goes. */
export function OpenProjectDialog() {
  const open = useOpenProject((s) => s.open);
  return (
    <Modal title="Open a project file" open={open} onClose={close}>
      <Steps />
    </Modal>
  );
}

type Step =
  | { at: 'choosing' }
  | { at: 'sending'; done: number; waiting: boolean }
  | { at: 'looking' }
  | { at: 'found'; upload: string; file: ProjectFile; opening: boolean };

/** Gives up an upload that is not opened. */
function forget(upload: { current: string | null }): void {
  if (upload.current) void api.giveUpUpload(upload.current).catch(() => undefined);
  upload.current = null;
}

function Steps() {
  const [step, setStep] = useState<Step>({ at: 'choosing' });
  const [problem, setProblem] = useState<string | null>(null);
  const client = useQueryClient();
  const gone = useRef(false);
  const upload = useRef<string | null>(null);
  useEffect(() => {
    gone.current = false;
    return () => {
      // Closed before it was opened: nothing of it stays on the server.
      gone.current = true;
      forget(upload);
    };
  }, []);
  const take = async (file: File) => {
    setProblem(null);
    if (file.size > LARGEST) {
      setProblem('The file has more than 4 GB, which no project file has.');
      return;
    }
    try {
      const sending = { at: 'sending', done: 0, waiting: false } as const;
      setStep(sending);
      const id = await sendPieces(file, () => api.beginProjectFile(file.name, file.size), {
        done: (done) => setStep({ ...sending, done }),
        waiting: (waiting) => setStep((s) => (s.at === 'sending' ? { ...s, waiting } : s)),
        givenUp: () => gone.current,
      });
      if (id === null) return;
      upload.current = id;
      setStep({ at: 'looking' });
      const found = await api.lookIntoProjectFile(id);
      setStep({ at: 'found', upload: id, file: found, opening: false });
    } catch (e) {
      forget(upload);
      setStep({ at: 'choosing' });
      setProblem(e instanceof Error ? e.message : String(e));
    }
  };
  const opened = async (project: Project, file: ProjectFile) => {
    close();
    await client.invalidateQueries();
    const scenes = project.scenes.filter((s) => !s.deleted);
    // What came in stands behind what was there.
    const first = scenes[scenes.length - file.parts.filter((p) => p.kind === 'scenes').length];
    if (first) await openScene(first.id);
  };
  return (
    <>
      {step.at === 'choosing' && <Choosing onFile={(f) => void take(f)} />}
      {step.at === 'sending' && (
        <p role="status" className="py-4">
          {step.waiting ? 'Waiting for the connection' : `${Math.floor(step.done * 100)} % is here`}
        </p>
      )}
      {step.at === 'looking' && (
        <p role="status" className="py-4">
          Looking into it …
        </p>
      )}
      {step.at === 'found' && (
        <Found
          file={step.file}
          opening={step.opening}
          onOpen={(target) => {
            setProblem(null);
            setStep({ ...step, opening: true });
            api
              .openProjectFile(step.upload, target)
              .then((project) => {
                upload.current = null;
                return opened(project, step.file);
              })
              .catch((e: unknown) => {
                setStep({ ...step, opening: false });
                setProblem(e instanceof Error ? e.message : String(e));
              });
          }}
        />
      )}
      {problem && (
        <p role="alert" className="mt-3 break-words text-vermilion">
          {problem}
        </p>
      )}
    </>
  );
}

function Choosing({ onFile }: { onFile: (file: File) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <div
      className="rounded-lg border border-dashed border-rule p-5 text-center"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const file = e.dataTransfer.files[0];
        if (file) onFile(file);
      }}
    >
      <p className="mb-3 text-soft">
        A project that was saved as a file, here or on another server: its scenes with their
        pictures, footage and typefaces. You see what is in it before anything is kept.
      </p>
      <button type="button" className="btn" onClick={() => input.current?.click()}>
        Choose a file
      </button>
      <span className="ml-2 text-soft">or drop it here</span>
      <FileInput
        input={input}
        accept=".zip,application/zip"
        testId="project-file"
        onFile={onFile}
      />
    </div>
  );
}

/** The kinds of parts as one and as many are called. */
const KINDS: Record<string, [string, string]> = {
  scenes: ['scene', 'scenes'],
  pictures: ['picture', 'pictures'],
  footage: ['piece of footage', 'pieces of footage'],
  typefaces: ['typeface', 'typefaces'],
  templates: ['picture to trace over', 'pictures to trace over'],
  curves: ['curve', 'curves'],
  easings: ['easing', 'easings'],
  finishes: ['finish', 'finishes'],
  series: ['table of a series', 'tables of series'],
  'file-sets': ['set of files', 'sets of files'],
};

type Target = { name: string } | { project: string };

interface FoundProps {
  file: ProjectFile;
  opening: boolean;
  onOpen: (target: Target) => void;
}

/** What is in a file, and where it is to go. */
function Found({ file, opening, onOpen }: FoundProps) {
  const [name, setName] = useState(file.name);
  const [into, setInto] = useState<'new' | 'open'>('new');
  const here = useEditor((s) => s.projectId);
  const current = useProjects().data?.find((p) => p.id === here);
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        onOpen(into === 'open' && current ? { project: current.id } : { name: name.trim() });
      }}
    >
      <ul className="mb-3 space-y-1" aria-label="What is in it">
        {Object.keys(KINDS).map((kind) => (
          <Kind key={kind} kind={kind} parts={file.parts.filter((p) => p.kind === kind)} />
        ))}
      </ul>
      {file.notes.map((n) => (
        <p key={n} className="mb-2 rounded-md bg-wash px-2 py-1">
          {n}
        </p>
      ))}
      <div className="mb-2">
        <Segments<'new' | 'open'>
          label="It becomes"
          value={into}
          options={[
            { value: 'new', label: 'a project of its own' },
            { value: 'open', label: 'part of the open project' },
          ]}
          onChange={setInto}
        />
      </div>
      {into === 'new' && (
        <label className="mb-2 flex items-center gap-2">
          <span className="w-23 shrink-0 text-soft">Called</span>
          <input
            className="field"
            value={name}
            maxLength={200}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
      )}
      <div className="mt-4 flex justify-end gap-2">
        <button type="button" className="btn" onClick={close}>
          Not now
        </button>
        <button
          type="submit"
          className="btn-main"
          disabled={opening || (into === 'new' && !name.trim())}
        >
          {opening ? 'Opening …' : 'Open it'}
        </button>
      </div>
    </form>
  );
}

/** So many names of a kind are told. */
const NAMED = 6;

function Kind({ kind, parts }: { kind: string; parts: ProjectFile['parts'] }) {
  if (parts.length === 0) return null;
  const [one, many] = KINDS[kind]!;
  const known = parts.filter((p) => p.known).length;
  const names = parts.slice(0, NAMED).map((p) => p.name);
  return (
    <li>
      <span className="font-medium">
        {parts.length} {parts.length === 1 ? one : many}
      </span>
      {known > 0 && (
        <span className="text-soft">
          {known === parts.length ? ', here already' : `, ${known} here already`}
        </span>
      )}
      <span
        className="block truncate text-[12px] text-soft"
        title={parts.map((p) => p.name).join(', ')}
      >
        {names.join(', ')}
        {parts.length > NAMED && ` and ${parts.length - NAMED} more`}
      </span>
    </li>
  );
}
