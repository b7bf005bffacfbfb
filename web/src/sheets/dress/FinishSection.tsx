import { ArrowUp, Eye, EyeOff, Plus, Trash2 } from 'lucide-react';
import type { Effect, Item } from '../../core/document';
import { appearanceOf } from '../../state/channels';
import { applyEdit, useEditor } from '../../state/editor';
import { newId } from '../../state/itemActions';
import { chosenWith } from '../../state/values';
import { IconButton } from '../../ui/IconButton';
import { MovableField } from '../../ui/MovableField';

const WORDS: Record<string, string> = { blur: 'Blur' };

/** What is done to the picture of an item, in order. */
export function FinishSection({ item }: { item: Item }) {
  const effects = item.effects ?? [];
  // The values of new effects are known once the document has been opened with them.
  useEditor((s) => s.opened);
  const add = (kind: Effect['kind']) =>
    applyEdit({ op: 'addEffect', items: chosenWith(item.id), kind, effect: newId() });
  return (
    <section className="section">
      <h2 className="section-title">Finish</h2>
      <ul className="space-y-1.5">
        {effects.map((e, index) => (
          <Entry key={e.id} item={item.id} effect={e} index={index} />
        ))}
      </ul>
      <button type="button" className="btn mt-1.5 w-full" onClick={() => add('blur')}>
        <Plus className="size-4" /> Blur
      </button>
    </section>
  );
}

function Entry({ item, effect, index }: { item: string; effect: Effect; index: number }) {
  const label = WORDS[effect.kind] ?? effect.kind;
  const at = { item, effect: effect.id };
  const values = appearanceOf(item).filter((c) => c.startsWith(`effect-${effect.id}-`));
  return (
    <li className={`rounded-lg border border-rule p-2 ${effect.off ? 'opacity-60' : ''}`}>
      <div className="mb-1 flex items-center gap-1">
        <span className="mr-auto font-medium">{label}</span>
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
      {values.map((c) => (
        <MovableField
          key={c}
          item={item}
          channel={c}
          label={values.length === 1 ? 'Amount' : undefined}
        />
      ))}
      {values.length === 0 && (
        <p className="text-[12px] text-soft">A newer version made it: it is kept, and not shown.</p>
      )}
    </li>
  );
}
