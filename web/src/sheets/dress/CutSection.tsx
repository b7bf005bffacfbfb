import { Scissors } from 'lucide-react';
import type { ForegroundCut, Item } from '../../core/document';
import { OF_CUT } from '../../state/channels';
import { applyEdit, useEditor } from '../../state/editor';
import { cutForeground } from '../../state/itemActions';
import { nameOf } from '../../state/items';
import { startDrawing } from '../../state/paths';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { MovableField } from '../../ui/MovableField';
import { PathPinnedTo } from '../PinnedTo';

const NONE = '';

const LABELS: Record<string, string> = { cutEdge: 'Soft edge' };

/** A cut: its path, its edge, and what is dimmed while one works at it. */
export function CutSection({ cut }: { cut: ForegroundCut }) {
  const doc = useEditor((s) => s.doc);
  const shown = useEditor((s) => s.overlays.cut);
  if (!doc) return null;
  return (
    <section className="section">
      <h2 className="section-title">{cut.name}</h2>
      <p className="mb-2 text-[12px] leading-snug text-soft">
        What of “{nameOf(doc, cut.source)}” lies within the path, shown again here in the stack. It
        goes with it; the path is edited in Path.
      </p>
      <Choice
        label="Cut along"
        value={cut.path}
        options={doc.paths.map((p) => ({ value: p.id, label: p.name }))}
        onChange={(along) =>
          applyEdit({ op: 'cutAlong', item: cut.id, along, time: useEditor.getState().time })
        }
      />
      <PathPinnedTo path={doc.paths.find((p) => p.id === cut.path)} />
      {OF_CUT.map((c) => (
        <MovableField key={c} item={cut.id} channel={c} label={LABELS[c]} />
      ))}
      <Check
        label="Show the cut"
        detail="The rest of the frame is dimmed"
        value={shown}
        onChange={(on) => useEditor.setState((s) => ({ overlays: { ...s.overlays, cut: on } }))}
      />
    </section>
  );
}

/** Brings a part of an item before the words: along a path there is, or one to be drawn. */
export function CutForward({ item }: { item: Item }) {
  const doc = useEditor((s) => s.doc);
  const paths = useEditor((s) => s.summary?.paths);
  if (!doc) return null;
  const cuts = doc.items.filter((i) => i.kind === 'foreground-cut' && i.source === item.id);
  const closed = doc.paths.filter((p) => paths?.[p.id]?.closed);
  return (
    <Fold title="Bring a part forward" aside={cuts.length || ''} open={cuts.length > 0}>
      <p className="mb-2 text-[12px] leading-snug text-soft">
        A hill, a mast, a hand: what lies within a closed line is shown again before the words.
      </p>
      <button
        type="button"
        className="btn mb-2 w-full"
        onClick={() =>
          startDrawing(
            item.kind === 'picture' || item.kind === 'footage' ? 'edges' : 'curve',
            item.id,
          )
        }
      >
        <Scissors className="size-4" /> Draw its edge
      </button>
      {closed.length > 0 && (
        <Choice
          label="Or along"
          value={NONE}
          options={[
            { value: NONE, label: 'A closed path…' },
            ...closed.map((p) => ({ value: p.id, label: p.name })),
          ]}
          onChange={(along) => along && cutForeground(item.id, along)}
        />
      )}
    </Fold>
  );
}
