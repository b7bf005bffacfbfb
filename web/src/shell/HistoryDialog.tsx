import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Revision } from '../api/client';
import { complete } from '../core/core';
import { replaceDoc, problemText, useEditor } from '../state/editor';
import { useHistory } from '../state/history';
import { useKeeper } from '../state/autosave';
import { notify } from '../state/notices';
import { Modal } from '../ui/Modal';
import { momentWords } from './moments';

/** Everything that was kept of the scene: look at it beside the present, name it, bring it back. */
export function HistoryDialog() {
  const open = useHistory((s) => s.open);
  return (
    <Modal title="History" open={open} onClose={close} wide>
      <History />
    </Modal>
  );
}

const close = () => useHistory.setState({ open: false });

function History() {
  const scene = useEditor((s) => s.sceneId) ?? '';
  const state = useKeeper((s) => s.state);
  const client = useQueryClient();
  const key = ['revisions', scene];
  const { data, isError } = useQuery({ queryKey: key, queryFn: () => api.revisions(scene) });
  const [chosen, setChosen] = useState<number | null>(null);
  // What was kept while the dialog is open belongs on the list.
  useEffect(() => {
    if (state === 'kept') void client.invalidateQueries({ queryKey: ['revisions', scene] });
  }, [state, client, scene]);
  if (isError) return <p>The server cannot be reached; the history is there again when it is.</p>;
  const now = data?.[0];
  const then = data?.find((r) => r.revision === chosen) ?? data?.[1] ?? now;
  if (!data || !now || !then) return <p className="text-soft">Looking it up…</p>;
  return (
    <div className="flex h-[66vh] min-h-0 gap-4">
      <ul
        className="w-64 shrink-0 overflow-y-auto border-r border-rule pr-3"
        aria-label="Kept versions"
      >
        {data.map((r) => (
          <Entry
            key={r.revision}
            scene={scene}
            revision={r}
            now={r === now}
            chosen={r === then}
            onChoose={() => setChosen(r.revision)}
          />
        ))}
      </ul>
      <div className="min-w-0 flex-1 overflow-y-auto">
        <div className="grid grid-cols-2 gap-3">
          <Shown scene={scene} revision={then} title={momentWords(then.savedAt)} />
          <Shown scene={scene} revision={now} title="Now" />
        </div>
        <NameOf
          key={then.revision}
          revision={then}
          onName={(name) =>
            void api
              .nameRevision(scene, then.revision, name)
              .then(() => client.invalidateQueries({ queryKey: key }))
              .catch(tell)
          }
        />
        <button
          type="button"
          className="btn-main mt-3"
          disabled={then === now}
          onClick={() => void restore(scene, then).catch(tell)}
        >
          Bring this version back
        </button>
        <p className="mt-4 text-[12px] leading-relaxed text-soft">
          Every change of the last day is here, then one for each hour of a month, then one for each
          day. Versions with a name always stay.
        </p>
      </div>
    </div>
  );
}

const tell = (e: unknown) => notify(e instanceof Error ? e.message : String(e), 'error');

const picture = (scene: string, r: Revision) =>
  `/api/scenes/${scene}/revisions/${r.revision}/picture`;

interface EntryProps {
  scene: string;
  revision: Revision;
  now: boolean;
  chosen: boolean;
  onChoose: () => void;
}

function Entry({ scene, revision, now, chosen, onChoose }: EntryProps) {
  return (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        className={`mb-1 flex w-full items-center gap-2 rounded-md border p-1 text-left ${
          chosen ? 'border-teal bg-paper' : 'border-transparent hover:bg-paper'
        }`}
        onClick={onChoose}
      >
        <img
          src={picture(scene, revision)}
          alt=""
          loading="lazy"
          className="h-11 w-16 shrink-0 rounded-sm bg-surround object-contain"
        />
        <span className="min-w-0 text-[12px] leading-snug">
          <span className="block truncate font-semibold">
            {revision.name ?? (now ? 'As it is now' : momentWords(revision.savedAt))}
          </span>
          {(revision.name || now) && (
            <span className="block text-soft">{momentWords(revision.savedAt)}</span>
          )}
          {revision.done && (
            <span className="line-clamp-2 text-soft" title={revision.done}>
              {revision.done}
            </span>
          )}
        </span>
      </button>
    </li>
  );
}

function Shown({ scene, revision, title }: { scene: string; revision: Revision; title: string }) {
  return (
    <figure>
      <img
        src={picture(scene, revision)}
        alt={title}
        className="aspect-video w-full rounded-md border border-rule bg-surround object-contain"
      />
      <figcaption className="mt-1 text-[12px] text-soft">{title}</figcaption>
    </figure>
  );
}

function NameOf({ revision, onName }: { revision: Revision; onName: (name: string) => void }) {
  const [name, setName] = useState(revision.name ?? '');
  return (
    <form
      className="mt-4 flex items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        onName(name);
      }}
    >
      <label className="min-w-0 flex-1 text-[12px] text-soft">
        Name of this version
        <input
          className="field mt-1 w-full"
          value={name}
          maxLength={200}
          placeholder="A version with a name always stays"
          onChange={(e) => setName(e.target.value)}
        />
      </label>
      <button type="submit" className="btn" disabled={name.trim() === (revision.name ?? '')}>
        Keep the name
      </button>
    </form>
  );
}

/** An edit like any other: it is kept as a new version, and Undo leads back. */
async function restore(scene: string, revision: Revision): Promise<void> {
  const found = await api.revision(scene, revision.revision);
  if (useEditor.getState().sceneId !== scene) return;
  const problems = replaceDoc(complete(found.document), 'Brought a version back');
  if (problems.length > 0) {
    notify(problemText(problems[0]!), 'error');
    return;
  }
  close();
  notify(
    `The version of ${momentWords(revision.savedAt)} is back. Undo leads to what stood before.`,
  );
}
