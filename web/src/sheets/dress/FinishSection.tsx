import {
  ArrowUp,
  ChevronRight,
  ClipboardPaste,
  Copy,
  Eye,
  EyeOff,
  GripVertical,
  Plus,
  Trash2,
} from 'lucide-react';
import type { Effect, Item } from '../../core/document';
import { EFFECT_OPTIONS } from '../../core/generated/frame';
import { appearanceOf } from '../../state/channels';
import { applyEdit, useEditor } from '../../state/editor';
import { newId } from '../../state/itemActions';
import { notify } from '../../state/notices';
import { openEffect, toggleEffect, useCopiedFinish, useOpenEffect } from '../../state/openEffect';
import { chosenWith } from '../../state/values';
import { Choice, Segments } from '../../ui/Choice';
import { IconButton } from '../../ui/IconButton';
import { MovableField } from '../../ui/MovableField';
import { MovableValue } from '../../ui/MovableValue';
import { KeptFinishes } from './KeptFinishes';
import { EFFECTS, optionOf } from './effectWords';
import { ShadowFields } from './ShadowFields';
import { useReorder } from './useReorder';

/** What is done to the picture of an item, in order. */
export function FinishSection({ item }: { item: Item }) {
  const effects = item.effects ?? [];
  // The values of new effects are known once the document has been opened with them.
  useEditor((s) => s.opened);
  const copied = useCopiedFinish((s) => s.effects);
  const { list, dragged, grip } = useReorder((from, to) => {
    const effect = effects[from];
    if (effect) applyEdit({ op: 'moveEffect', item: item.id, effect: effect.id, to });
  });
  const use = (finish: Effect[]) =>
    applyEdit({ op: 'useFinish', items: chosenWith(item.id), effects: finish });
  const add = (kind: Effect['kind']) => {
    const effect = newId();
    const at = useEditor.getState().time;
    const wrong = applyEdit({ op: 'addEffect', items: chosenWith(item.id), kind, effect, at });
    if (wrong.length === 0) openEffect(effect);
  };
  return (
    <section className="section">
      <div className="flex items-start">
        <h2 className="section-title mr-auto">Finish</h2>
        {effects.length > 0 && (
          <IconButton
            label="Copy the finish"
            onClick={() => {
              useCopiedFinish.setState({ effects });
              notify('The finish is copied: choose another item and use it there');
            }}
          >
            <Copy className="size-4" />
          </IconButton>
        )}
        {copied && (
          <IconButton label="Use the copied finish" onClick={() => use(copied)}>
            <ClipboardPaste className="size-4" />
          </IconButton>
        )}
      </div>
      <ul className="space-y-1.5" ref={list}>
        {effects.map((e, index) => (
          <Entry
            key={e.id}
            item={item.id}
            effect={e}
            index={index}
            grip={effects.length > 1 ? grip(index) : undefined}
            mark={dragged === null ? '' : markOf(dragged, index)}
          />
        ))}
      </ul>
      <div className="mt-1.5 grid grid-cols-2 gap-1.5">
        {EFFECTS.map(({ kind, label, detail }) => (
          <button
            key={kind}
            type="button"
            className="btn justify-start gap-1 px-1.5"
            title={detail}
            aria-label={`Add ${label.toLowerCase()}`}
            onClick={() => add(kind)}
          >
            <Plus className="size-4 shrink-0" /> {label}
          </button>
        ))}
      </div>
      <KeptFinishes effects={effects} onUse={use} />
    </section>
  );
}

/** How a row looks while one is dragged: faint itself, with a line where it would come to. */
function markOf({ from, to }: { from: number; to: number }, index: number): string {
  if (index === from) return 'opacity-50';
  const rank = index > from ? index - 1 : index;
  if (rank === to) return 'border-t-2 border-t-vermilion';
  return rank === to - 1 ? 'border-b-2 border-b-vermilion' : '';
}

interface EntryProps {
  item: string;
  effect: Effect;
  index: number;
  grip: ((e: React.PointerEvent) => void) | undefined;
  mark: string;
}

function Entry({ item, effect, index, grip, mark }: EntryProps) {
  const open = useOpenEffect((s) => s.effect === effect.id);
  const label = EFFECTS.find((e) => e.kind === effect.kind)?.label ?? effect.kind;
  const at = { item, effect: effect.id };
  return (
    <li className={`rounded-lg border border-rule ${effect.off ? 'opacity-60' : ''} ${mark}`}>
      <div className="flex items-center gap-1 p-1">
        {grip && (
          <span
            className="cursor-grab touch-none text-soft"
            title="Drag to do it earlier or later"
            onPointerDown={grip}
            data-testid={`effect-grip-${index}`}
          >
            <GripVertical className="size-4" />
          </span>
        )}
        <button
          type="button"
          className="mr-auto flex min-w-0 items-center gap-1 rounded-md px-1 font-medium"
          aria-expanded={open}
          onClick={() => toggleEffect(effect.id)}
        >
          <ChevronRight className={`size-3.5 shrink-0 text-soft ${open ? 'rotate-90' : ''}`} />
          <span className="truncate">{label}</span>
        </button>
        {index > 0 && (
          <IconButton
            label={`${label}: do it before the one above`}
            onClick={() => applyEdit({ op: 'moveEffect', ...at, to: index - 1 })}
          >
            <ArrowUp className="size-4" />
          </IconButton>
        )}
        <IconButton
          label={effect.off ? `${label}: switch on` : `${label}: switch off`}
          onClick={() => applyEdit({ op: 'switchEffect', ...at })}
        >
          {effect.off ? <EyeOff className="size-4" /> : <Eye className="size-4" />}
        </IconButton>
        <IconButton
          label={`${label}: remove`}
          onClick={() => applyEdit({ op: 'removeEffect', ...at })}
        >
          <Trash2 className="size-4" />
        </IconButton>
      </div>
      {open && (
        <div className="effect-fields px-1.5 pb-1">
          <Fields item={item} effect={effect} />
        </div>
      )}
    </li>
  );
}

function Fields({ item, effect }: { item: string; effect: Effect }) {
  const values = appearanceOf(item).filter((c) => c.startsWith(`effect-${effect.id}-`));
  if (values.length === 0) {
    return (
      <p className="text-[12px] text-soft">A newer version made it: it is kept, and not shown.</p>
    );
  }
  if (values.length === 1) {
    return <MovableField item={item} channel={values[0]!} label="Amount" />;
  }
  return (
    <>
      {EFFECT_OPTIONS[effect.kind]?.map(({ name, usual }) => (
        <OptionField key={name} item={item} effect={effect} name={name} usual={usual} />
      ))}
      {values.map((c) => (
        <MovableValue key={c} item={item} channel={c} />
      ))}
      {effect.kind === 'drop-shadow' && <ShadowFields item={item} effect={effect.id} />}
    </>
  );
}

interface OptionProps {
  item: string;
  effect: Effect;
  name: string;
  /** What is chosen where the document leaves it out. */
  usual: string;
}

function OptionField({ item, effect, name, usual }: OptionProps) {
  const { label, choices } = optionOf(effect.kind, name);
  const chosen = Object.entries(effect).find(([n]) => n === name)?.[1] ?? usual;
  const props = {
    label,
    value: String(chosen),
    options: choices,
    onChange: (choice: string) =>
      applyEdit({ op: 'chooseForEffect', item, effect: effect.id, option: name, choice }),
  };
  return choices.length > 3 ? <Choice {...props} /> : <Segments {...props} />;
}
