import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useQueryClient } from '@tanstack/react-query';
import {
  ChevronDown,
  Copy,
  Download,
  FolderOpen,
  Pencil,
  Plus,
  RotateCcw,
  Trash2,
} from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { api, ServerError, type Project, type SceneEntry } from '../api/client';
import { useEditor } from '../state/editor';
import { changeScene } from '../state/values';
import { openScene } from '../state/autosave';
import { lastFrame, rememberFrame, type Size } from '../state/frames';
import { DRAGGED_SCENE } from '../state/insets';
import { FramePictures } from './FramePictures';
import { notify } from '../state/notices';
import { placeOf } from '../state/itemMenu';
import { saveProjectFile, showOpenProject } from '../state/projectFile';
import { useProjects } from '../state/projects';
import { MenuAt } from '../ui/MenuAt';

const tell = (e: unknown) => notify(e instanceof Error ? e.message : String(e), 'error');

/** Project and scene in the top bar; the list of all, with what can be done to each. */
export function ProjectSwitcher() {
  const projects = useProjects();
  const projectId = useEditor((s) => s.projectId);
  const name = useEditor((s) => s.doc?.name);
  const project = projects.data?.find((p) => p.id === projectId);
  return (
    <Popover className="min-w-0">
      <PopoverButton
        className="flex max-w-full min-w-0 items-center gap-1.5 rounded-md px-1.5 py-1 hover:bg-paper"
        data-testid="switcher"
      >
        <span className="truncate text-soft max-[900px]:hidden">{project?.name ?? '…'}</span>
        <span className="text-soft max-[900px]:hidden">/</span>
        <span className="truncate font-semibold">{name ?? '…'}</span>
        <ChevronDown className="size-3.5 shrink-0 text-soft" />
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        className="menu max-h-[80vh] w-96 max-w-full overflow-y-auto p-2 [--anchor-gap:4px]"
        aria-label="Projects and scenes"
      >
        {({ close }) => <ProjectList projects={projects.data ?? []} close={close} />}
      </PopoverPanel>
    </Popover>
  );
}

function ProjectList({ projects, close }: { projects: Project[]; close: () => void }) {
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: ['projects'] });
  const run = (work: Promise<unknown>) => void work.catch(tell).finally(refresh);
  const alive = projects.filter((p) => !p.deleted);
  const goTo = (id: string) => {
    close();
    void openScene(id).catch(tell);
  };
  const remove = (work: () => Promise<unknown>, back: () => Promise<unknown>, name: string) =>
    run(
      work().then(() =>
        notify(`“${name}” is deleted`, 'info', { label: 'Undo', run: () => run(back()) }),
      ),
    );
  return (
    <>
      {alive.map((p) => (
        <ProjectRow
          key={p.id}
          project={p}
          goTo={goTo}
          run={run}
          remove={remove}
          other={alive.find((o) => o.id !== p.id && o.scenes.some((s) => !s.deleted))}
        />
      ))}
      <NameForm
        label="New project"
        onName={(name) => run(api.createProject(name).then((p) => goTo(p.scenes[0]!.id)))}
      />
      <button
        type="button"
        className="flex w-full items-center gap-1.5 rounded-md px-2 py-1.5 text-teal hover:bg-paper"
        onClick={() => {
          close();
          showOpenProject();
        }}
      >
        <FolderOpen className="size-3.5" /> Open a project file
      </button>
      <Deleted projects={projects} run={run} />
    </>
  );
}

type Run = (work: Promise<unknown>) => void;

interface RowProps {
  project: Project;
  goTo: (id: string) => void;
  run: Run;
  remove: (work: () => Promise<unknown>, back: () => Promise<unknown>, name: string) => void;
  /** Where to go when this project is deleted; without one it cannot be. */
  other: Project | undefined;
}

function ProjectRow({ project: p, goTo, run, remove, other }: RowProps) {
  const open = useEditor((s) => s.sceneId);
  const scenes = p.scenes.filter((s) => !s.deleted);
  const removeProject = (next: Project) => {
    remove(
      () => api.deleteProject(p.id),
      () => api.restoreProject(p.id),
      p.name,
    );
    if (scenes.some((s) => s.id === open)) goTo(next.scenes.find((s) => !s.deleted)!.id);
  };
  const removeScene = (s: SceneEntry, used: boolean) => {
    const other = scenes.find((o) => o.id !== s.id);
    const gone = () => {
      const back = () => run(api.restoreScene(s.id));
      notify(`“${s.name}” is deleted`, 'info', { label: 'Undo', run: back });
      if (s.id === open && other) goTo(other.id);
    };
    const refused = (e: unknown) => {
      if (!(e instanceof ServerError && e.status === 409)) throw e;
      const again = { label: 'Delete it anyway', run: () => removeScene(s, true) };
      notify(`“${s.name}” is still here. ${e.message}`, 'error', again);
    };
    run(api.deleteScene(s.id, used).then(gone, refused));
  };
  const renameScene = (s: SceneEntry, name: string) => {
    // The open scene is renamed like any other edit, so that it can be undone.
    if (s.id === open) changeScene({ name });
    else run(api.renameScene(s.id, name));
  };
  return (
    <section className="mb-2 border-b border-rule pb-2">
      <Entry
        name={p.name}
        heading
        onRename={(name) => run(api.renameProject(p.id, name))}
        onDuplicate={() => run(api.duplicateProject(p.id))}
        onSave={() => void saveProjectFile(p.id)}
        onDelete={other && (() => removeProject(other))}
      />
      {scenes.map((s) => (
        <Entry
          key={s.id}
          name={s.name}
          current={s.id === open}
          onOpen={() => goTo(s.id)}
          onRename={(name) => renameScene(s, name)}
          onDuplicate={() => run(api.duplicateScene(s.id).then((k) => goTo(k.id)))}
          onDelete={s.id === open && scenes.length === 1 ? undefined : () => removeScene(s, false)}
          dragged={s}
        />
      ))}
      <NewScene
        onMade={(name, size) => run(api.createScene(p.id, name, size).then((k) => goTo(k.id)))}
      />
    </section>
  );
}

interface EntryProps {
  name: string;
  heading?: boolean;
  current?: boolean;
  onOpen?: () => void;
  onRename: (name: string) => void;
  onDuplicate: () => void;
  /** Of a project: gives it out as a file. */
  onSave?: () => void;
  onDelete?: () => void;
  /** The scene that is dragged by its name, to be shown in another. */
  dragged?: SceneEntry;
}

function Entry(props: EntryProps) {
  const { name, heading, current, onOpen, onRename, onDuplicate, onSave, onDelete, dragged } =
    props;
  const [renaming, setRenaming] = useState(false);
  const [menu, setMenu] = useState<[number, number] | null>(null);
  if (renaming) {
    return (
      <NameForm
        label="Name"
        start={name}
        onName={(n) => {
          setRenaming(false);
          if (n !== name) onRename(n);
        }}
        onCancel={() => setRenaming(false)}
      />
    );
  }
  return (
    <div
      className={`group flex items-center rounded-md ${current ? 'bg-wash' : 'hover:bg-paper'}`}
      onContextMenu={(e) => setMenu(placeOf(e))}
    >
      {heading ? (
        <h2 className="min-w-0 flex-1 truncate px-2 py-1.5 font-semibold">{name}</h2>
      ) : (
        <button
          type="button"
          className="min-w-0 flex-1 truncate px-2 py-1.5 pl-4 text-left"
          aria-current={current}
          draggable={dragged !== undefined}
          onDragStart={(e) => e.dataTransfer.setData(DRAGGED_SCENE, JSON.stringify(dragged))}
          onClick={onOpen}
        >
          {name}
        </button>
      )}
      <Action label={`Rename ${name}`} onClick={() => setRenaming(true)}>
        <Pencil className="size-3.5" />
      </Action>
      <Action label={`Duplicate ${name}`} onClick={onDuplicate}>
        <Copy className="size-3.5" />
      </Action>
      {onSave && (
        <Action label={`Save ${name} as a file`} onClick={onSave}>
          <Download className="size-3.5" />
        </Action>
      )}
      {onDelete && (
        <Action label={`Delete ${name}`} onClick={onDelete}>
          <Trash2 className="size-3.5" />
        </Action>
      )}
      <MenuAt
        at={menu}
        label={`What can be done with ${name}`}
        entries={[
          { label: 'Open', run: () => onOpen?.(), when: () => onOpen !== undefined && !current },
          { label: 'Rename', run: () => setRenaming(true) },
          { label: 'Duplicate', run: onDuplicate },
          { label: 'Save as a file', run: () => onSave?.(), when: () => onSave !== undefined },
          { label: 'Delete', run: () => onDelete?.(), when: () => onDelete !== undefined },
        ]}
        onClose={() => setMenu(null)}
      />
    </div>
  );
}

interface ActionProps {
  label: string;
  onClick: () => void;
  children: React.ReactNode;
}

function Action({ label, onClick, children }: ActionProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="p-1.5 text-soft hover:text-ink"
      onClick={onClick}
    >
      {children}
    </button>
  );
}

/** A name and a frame for a scene: a button at first. */
function NewScene({ onMade }: { onMade: (name: string, size: Size) => void }) {
  const [size, setSize] = useState(lastFrame);
  return (
    <NameForm
      label="New scene"
      onName={(name) => {
        rememberFrame(size);
        onMade(name, size);
      }}
    >
      <FramePictures size={size} onChoose={setSize} />
    </NameForm>
  );
}

interface NameFormProps {
  label: string;
  start?: string;
  onName: (name: string) => void;
  onCancel?: () => void;
  /** What is asked beside the name. */
  children?: ReactNode;
}

/** A name to type: a button at first, unless it begins with a name. */
function NameForm({ label, start, onName, onCancel, children }: NameFormProps) {
  const [text, setText] = useState<string | null>(start ?? null);
  if (text === null) {
    return (
      <button
        type="button"
        className="flex w-full items-center gap-1.5 rounded-md px-2 py-1.5 text-teal hover:bg-paper"
        onClick={() => setText('')}
      >
        <Plus className="size-3.5" /> {label}
      </button>
    );
  }
  const end = () => {
    setText(null);
    onCancel?.();
  };
  return (
    <form
      className="p-1"
      onSubmit={(e) => {
        e.preventDefault();
        if (text.trim()) onName(text.trim());
        setText(null);
      }}
    >
      {children}
      <div className="flex gap-1.5">
        <input
          autoFocus
          className="field"
          aria-label={label}
          placeholder={label}
          maxLength={200}
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => {
            if (e.key !== 'Escape') return;
            e.stopPropagation();
            end();
          }}
        />
        <button type="submit" className="btn" disabled={!text.trim()}>
          OK
        </button>
      </div>
    </form>
  );
}

function Deleted({ projects, run }: { projects: Project[]; run: Run }) {
  const gone = projects.flatMap((p) =>
    p.deleted
      ? [
          {
            id: p.id,
            name: p.name,
            what: 'project',
            back: () => api.restoreProject(p.id) as Promise<unknown>,
          },
        ]
      : p.scenes
          .filter((s) => s.deleted)
          .map((s) => ({
            id: s.id,
            name: s.name,
            what: `scene of ${p.name}`,
            back: () => api.restoreScene(s.id) as Promise<unknown>,
          })),
  );
  if (gone.length === 0) return null;
  return (
    <details className="mt-1 px-2">
      <summary className="cursor-pointer py-1 text-soft">Deleted ({gone.length})</summary>
      {gone.map((g) => (
        <div key={g.id} className="flex items-center gap-2 py-0.5">
          <span className="min-w-0 flex-1 truncate" title={g.what}>
            {g.name}
          </span>
          <button type="button" className="btn" onClick={() => run(g.back())}>
            <RotateCcw className="size-3.5" /> Restore
          </button>
        </div>
      ))}
    </details>
  );
}
