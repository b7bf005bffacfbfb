import { Eye, EyeOff, Lock, LockOpen, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { letteringOf, pictureOf, select, useEditor } from '../state/editor';
import { addLettering, removeItem, restack, toggleFlag } from '../state/making';

/** Everything in the scene as chips, back to front. */
export function StackStrip() {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const [dragged, setDragged] = useState<string | null>(null);
  if (!doc) return null;
  const chosen = letteringOf(doc, selected) ?? pictureOf(doc, selected);

  const keys = (e: React.KeyboardEvent, id: string, index: number) => {
    if (!e.altKey) return;
    if (e.key === 'ArrowRight') restack(id, index + 1);
    if (e.key === 'ArrowLeft') restack(id, index - 1);
  };

  return (
    <div className="flex h-9 min-w-0 items-center gap-1.5">
      <ul
        aria-label="Stack, back to front"
        className="flex min-w-0 items-center gap-1 overflow-x-auto py-1 pl-0.5 [scrollbar-width:none]"
      >
        {doc.stack.map((id, index) => {
          const lettering = letteringOf(doc, id);
          const picture = pictureOf(doc, id);
          const hidden = (lettering ?? picture)?.hidden;
          const name = lettering ? lettering.text.trim() || 'No words yet' : picture?.name;
          return (
            <li key={id} className="shrink-0">
              <button
                type="button"
                ref={id === selected ? intoView : undefined}
                draggable
                aria-pressed={id === selected}
                title={`${name}. Drag, or Alt with the arrow keys, to reorder`}
                className={`flex h-7 max-w-40 items-center gap-1.5 rounded-full border px-2.5 ${
                  id === selected
                    ? 'border-teal bg-sheet font-semibold'
                    : 'border-transparent bg-sheet/60 text-soft hover:text-ink'
                } ${hidden ? 'line-through opacity-60' : ''}`}
                onClick={() => select(id)}
                onKeyDown={(e) => keys(e, id, index)}
                onDragStart={() => setDragged(id)}
                onDragOver={(e) => dragged && e.preventDefault()}
                onDrop={() => dragged && restack(dragged, index)}
                onDragEnd={() => setDragged(null)}
              >
                {lettering ? (
                  <span className="size-2 shrink-0 rounded-full bg-teal" />
                ) : (
                  <span className="size-2 shrink-0 rounded-[2px] bg-ochre" />
                )}
                <span className="truncate">{name}</span>
              </button>
            </li>
          );
        })}
      </ul>
      {chosen && (
        <div className="flex shrink-0 items-center border-l border-rule pl-1.5">
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
          <Tool label="Remove" onClick={() => removeItem(chosen.id)}>
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
