import { useMemo } from 'react';
import { Copy, Eye, EyeOff, Lock, LockOpen, Trash2, Type } from 'lucide-react';
import * as core from '../../core/core';
import type { GuidePath, Lettering } from '../../core/document';
import { applyEdit, useEditor } from '../../state/editor';
import { letteringOf } from '../../state/items';
import { deletePath, duplicatePath, openPathMenu, useLeaving } from '../../state/pathActions';
import { choosePath, editPath, kindWord, sitters } from '../../state/paths';
import { IconButton } from '../../ui/IconButton';
import { Modal } from '../../ui/Modal';
import { Thumb } from './PathGallery';

/** The paths of the scene; a click chooses one, the T seats the lettering on it. */
export function PathList(props: { lettering: Lettering | undefined; chosen: string | undefined }) {
  const paths = useEditor((s) => s.doc?.paths);
  if (!paths?.length) {
    return <p className="text-soft">No path yet. Draw one, or begin with a shape.</p>;
  }
  return (
    <ul aria-label="Paths" className="-mx-2 space-y-0.5">
      {paths.map((p) => (
        <Row key={p.id} path={p} {...props} />
      ))}
    </ul>
  );
}

/** Lock, copy and delete, for the path that is chosen. */
export function PathButtons({ path }: { path: GuidePath }) {
  const leaving = useLeaving((s) => s.path === path.id);
  return (
    <span className="flex">
      <IconButton
        label={path.locked ? `Unlock ${path.name}` : `Lock ${path.name}`}
        pressed={path.locked ?? false}
        onClick={() => editPath('label', { locked: !path.locked })}
      >
        {path.locked ? <Lock className="size-3.5" /> : <LockOpen className="size-3.5" />}
      </IconButton>
      <IconButton label={`Duplicate ${path.name}`} onClick={() => duplicatePath(path.id)}>
        <Copy className="size-3.5" />
      </IconButton>
      <IconButton label={`Delete ${path.name}`} onClick={() => deletePath(path.id)}>
        <Trash2 className="size-3.5" />
      </IconButton>
      {leaving && <Leaving path={path} onClose={() => useLeaving.setState({ path: null })} />}
    </span>
  );
}

interface RowProps {
  path: GuidePath;
  lettering: Lettering | undefined;
  chosen: string | undefined;
}

function Row({ path, lettering, chosen }: RowProps) {
  const summary = useEditor((s) => s.summary);
  const picture = useMemo(
    () => (summary?.paths[path.id] ? core.thumb(path.id) : ''),
    [summary, path.id],
  );
  const here = lettering?.path === path.id;
  const active = path.id === chosen;
  return (
    <li
      className={`group rounded-md ${active ? 'bg-wash' : 'hover:bg-paper'}`}
      data-testid="path-row"
      onContextMenu={(e) => openPathMenu(e, path.id)}
    >
      <div className="flex items-center gap-1 px-2 py-1">
        <button
          type="button"
          className="flex min-w-0 flex-1 items-center gap-2 text-left"
          aria-pressed={active}
          onClick={() => choosePath(path.id)}
        >
          <Thumb d={picture} small />
          <span className="min-w-0 flex-1 truncate" title={`${path.name}, ${kindWord(path)}`}>
            {path.name}
          </span>
        </button>
        {lettering && (
          <IconButton
            label={here ? 'The lettering sits here' : `Seat the lettering on ${path.name}`}
            pressed={here}
            onClick={() => applyEdit({ op: 'sit', item: lettering.id, on: path.id })}
          >
            <Type className="size-3.5" />
          </IconButton>
        )}
        <IconButton
          label={path.hidden ? `Show ${path.name}` : `Hide ${path.name}`}
          onClick={() => editPath('label', { path: path.id, hidden: !path.hidden })}
        >
          {path.hidden ? <EyeOff className="size-3.5" /> : <Eye className="size-3.5" />}
        </IconButton>
      </div>
    </li>
  );
}

/** Asked before a path goes that something stands on. */
function Leaving({ path, onClose }: { path: GuidePath; onClose: () => void }) {
  const paths = useEditor((s) => s.doc?.paths);
  const others = paths?.filter((p) => p.id !== path.id) ?? [];
  const users = sitters(path.id);
  const count = users.length;
  const leave = (to?: string) => {
    applyEdit({ op: 'deletePath', of: path.id, ...(to ? { to } : {}) });
    onClose();
  };
  return (
    <Modal title={`Delete “${path.name}”?`} open onClose={onClose}>
      <p className="mb-3">{whatStands(users)} Where to?</p>
      <div className="flex flex-col gap-1.5">
        {others.map((p) => (
          <button
            key={p.id}
            type="button"
            className="btn justify-start"
            onClick={() => leave(p.id)}
          >
            To {p.name}
          </button>
        ))}
        <button type="button" className="btn justify-start" onClick={() => leave()}>
          {count === 1 ? 'It keeps a copy of the path' : 'Each keeps a copy of the path'}
        </button>
        <button type="button" className="btn mt-1.5" onClick={onClose}>
          Do not delete it
        </button>
      </div>
    </Modal>
  );
}

/** What goes with a path, in a sentence: letterings alone are called so. */
function whatStands(ids: string[]): string {
  const { doc } = useEditor.getState();
  const one = ids.length === 1;
  if (ids.every((id) => letteringOf(doc, id))) {
    return one ? 'A lettering sits on it.' : `${ids.length} letterings sit on it.`;
  }
  return one
    ? 'One thing stands on it or has its shape.'
    : `${ids.length} things stand on it or have its shape.`;
}
