import {
  Eye,
  EyeOff,
  Group as GroupIcon,
  Lock,
  LockOpen,
  Plus,
  Trash2,
  Ungroup,
} from 'lucide-react';
import { useRef, useState } from 'react';
import type { SceneDoc } from '../core/document';
import { select, selectAlso, useEditor } from '../state/editor';
import { groupOf, groupRound, itemOf, letteringOf, nameOf } from '../state/items';
import { openItemMenu } from '../state/itemMenu';
import { addLettering, groupChosen, removeItems, restack, ungroup } from '../state/itemActions';
import { endRenaming, rename, useRenaming } from '../state/renaming';
import { chosenWith, toggleFlag } from '../state/values';
import { useFadingEdges } from '../ui/useFadingEdges';

/** Everything in the scene as chips, back to front; what is in the chosen group stands within it. */
export function StackStrip() {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const several = useEditor((s) => s.also.length > 0);
  const [dragged, setDragged] = useState<string | null>(null);
  const row = useFadingEdges<HTMLUListElement>(doc);
  if (!doc) return null;
  const chosen = itemOf(doc, selected);
  const group = groupOf(doc, selected);

  return (
    <div className="flex min-h-9 min-w-0 shrink-0 items-center gap-1.5 max-[700px]:flex-wrap">
      <ul
        ref={row}
        aria-label="Stack, back to front"
        className="flex min-w-0 items-center gap-1 scroll-px-8 overflow-x-auto py-1 pl-0.5 [scrollbar-width:none] max-[700px]:w-full"
      >
        <Row doc={doc} into="" ids={doc.stack} dragged={dragged} onDrag={setDragged} />
      </ul>
      {chosen && (
        <div className="flex shrink-0 items-center border-rule pl-1.5 min-[701px]:border-l">
          <Tool
            label={chosen.hidden ? 'Show' : 'Hide'}
            onClick={() => toggleFlag(chosen.id, 'hidden')}
          >
            {chosen.hidden ? <EyeOff className="size-4" /> : <Eye className="size-4" />}
          </Tool>
          <Tool
            label={chosen.locked ? 'Unlock' : 'Lock'}
            onClick={() => toggleFlag(chosen.id, 'locked')}
          >
            {chosen.locked ? <Lock className="size-4" /> : <LockOpen className="size-4" />}
          </Tool>
          {group && !several ? (
            <Tool label="Take the group apart" onClick={() => ungroup(group.id)}>
              <Ungroup className="size-4" />
            </Tool>
          ) : (
            <Tool label="Make a group (Shift click chooses more for it)" onClick={groupChosen}>
              <GroupIcon className="size-4" />
            </Tool>
          )}
          <Tool label="Remove" onClick={() => removeItems(chosenWith(chosen.id))}>
            <Trash2 className="size-4" />
          </Tool>
        </div>
      )}
      <button type="button" className="btn ml-auto shrink-0" onClick={addLettering}>
        <Plus className="size-4" /> Lettering
      </button>
    </div>
  );
}

interface RowProps {
  doc: SceneDoc;
  /** The group that the chips stand in; empty for the stack. */
  into: string;
  ids: string[];
  dragged: string | null;
  onDrag: (id: string | null) => void;
}

function Row({ doc, into, ids, dragged, onDrag }: RowProps) {
  const selected = useEditor((s) => s.selected);
  const also = useEditor((s) => s.also);
  const renaming = useRenaming((s) => s.id);

  const drop = (id: string, index: number) => {
    if (!dragged || dragged === id) return;
    if (groupOf(doc, id)) restack(dragged, id);
    else restack(dragged, into, index);
  };
  const keys = (e: React.KeyboardEvent, id: string, index: number) => {
    if (!e.altKey || !e.key.startsWith('Arrow')) return;
    e.stopPropagation();
    const next = groupOf(doc, ids[index + 1] ?? null) ?? groupOf(doc, ids[index - 1] ?? null);
    if (e.key === 'ArrowRight') restack(id, into, index + 1);
    else if (e.key === 'ArrowLeft') restack(id, into, index - 1);
    else if (e.key === 'ArrowDown' && next) restack(id, next.id);
    else if (e.key === 'ArrowUp' && into) takeOut(doc, id, into);
  };

  return ids.map((id, index) => {
    const group = groupOf(doc, id);
    const open = group && holds(doc, group.id, selected);
    const name = nameOf(doc, id);
    const chosen = id === selected || also.includes(id);
    const hidden = itemOf(doc, id)?.hidden;
    return (
      <li
        key={id}
        className={`flex shrink-0 items-center ${open ? 'rounded-full border border-soft/50 pr-1' : ''}`}
      >
        {id === renaming ? (
          <NameField name={name} />
        ) : (
          <button
            type="button"
            ref={id === selected ? intoView : undefined}
            draggable
            aria-pressed={chosen}
            title={`${name}. ${into ? IN_GROUP : ''}${group ? OF_GROUP : ''}${REORDER}`}
            className={`flex h-7 max-w-40 items-center gap-1.5 rounded-full border px-2.5 ${
              chosen
                ? 'border-teal bg-sheet font-semibold'
                : 'border-transparent bg-sheet/60 text-soft hover:text-ink'
            } ${hidden ? 'border-dashed border-soft line-through' : ''}`}
            onClick={(e) => (e.shiftKey ? selectAlso(id) : select(id))}
            onDoubleClick={() => rename(id)}
            onKeyDown={(e) => keys(e, id, index)}
            onContextMenu={(e) => openItemMenu(e, id)}
            onDragStart={() => onDrag(id)}
            onDragOver={(e) => dragged && e.preventDefault()}
            onDrop={() => drop(id, index)}
            onDragEnd={() => onDrag(null)}
          >
            <span className={`size-2 shrink-0 ${markOf(doc, id)}`} />
            <span className="truncate">{name}</span>
            {group && !open && <span className="text-[11px]">{group.members.length}</span>}
          </button>
        )}
        {group && open && (
          <ul className="ml-1 flex items-center gap-1" aria-label={`In ${name}`}>
            <Row doc={doc} into={id} ids={group.members} dragged={dragged} onDrag={onDrag} />
          </ul>
        )}
      </li>
    );
  });
}

const REORDER =
  'Double-click or F2 renames it. Drag, or Alt with the left and right keys, to reorder';
const IN_GROUP = 'Alt with the up key takes it out of its group. ';
const OF_GROUP = 'Drop a chip on it, or Alt with the down key on one beside it, to put it in. ';

function NameField({ name }: { name: string }) {
  const done = useRef(false);
  const end = (text: string | null) => {
    // Leaving by a key takes the focus away, which would end it once more.
    if (!done.current) endRenaming(text);
    done.current = true;
  };
  return (
    <input
      className="field h-7 w-40 rounded-full px-2.5"
      aria-label="Name"
      maxLength={200}
      defaultValue={name}
      ref={focused}
      onBlur={(e) => end(e.target.value)}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === 'Enter') end(e.currentTarget.value);
        else if (e.key === 'Escape') end(null);
      }}
    />
  );
}

function focused(field: HTMLInputElement | null): void {
  field?.focus();
  field?.select();
  field?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
}

/** Round for words, square for a picture, hollow for a group. */
export function markOf(doc: SceneDoc, id: string): string {
  if (letteringOf(doc, id)) return 'rounded-full bg-teal';
  return groupOf(doc, id) ? 'rounded-[2px] border-2 border-ochre' : 'rounded-[2px] bg-ochre';
}

/** Whether an item is a group or stands in it, however deep. */
function holds(doc: SceneDoc, group: string, id: string | null): boolean {
  if (id === null || id === group) return id === group;
  return holds(doc, group, groupRound(doc, id)?.id ?? null);
}

/** Puts an item behind the group that it stands in. */
function takeOut(doc: SceneDoc, id: string, from: string): void {
  const round = groupRound(doc, from);
  restack(id, round?.id ?? '', (round?.members ?? doc.stack).indexOf(from) + 1);
}

function intoView(chip: HTMLButtonElement | null): void {
  chip?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
}

interface ToolProps {
  label: string;
  onClick: () => void;
  children: React.ReactNode;
}

function Tool({ label, onClick, children }: ToolProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="rounded-md p-1.5 text-soft hover:bg-sheet hover:text-ink"
      onClick={onClick}
    >
      {children}
    </button>
  );
}
