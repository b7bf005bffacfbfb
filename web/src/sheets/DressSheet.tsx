import type { Placed } from '../core/document';
import { change, useEditor } from '../state/editor';
import { groupOf, letteringOf, placedOf } from '../state/items';
import { ColourField } from '../ui/ColourField';
import { MovableColour } from '../ui/MovableColour';
import { MovableField } from '../ui/MovableField';
import { GroupSection } from './GroupSection';

/** Colours of the chosen item and the backdrop; place and turn of a picture or group. */
export function DressSheet() {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const lettering = letteringOf(doc, selected);
  const placed = placedOf(doc, selected);
  const group = groupOf(doc, selected);
  if (!doc) return null;
  return (
    <>
      {lettering && (
        <section className="section">
          <h2 className="section-title">Lettering</h2>
          <MovableColour item={lettering.id} label="Fill" />
          <MovableField item={lettering.id} channel="opacity" />
        </section>
      )}
      {placed && <PlacedSection key={placed.id} placed={placed} />}
      {group && <GroupSection group={group} />}
      <section className="section">
        <h2 className="section-title">Backdrop</h2>
        <label className="mb-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-(--teal)"
            checked={doc.background !== null}
            onChange={(e) =>
              change((d) => ({ ...d, background: e.target.checked ? '#F3E9D2' : null }))
            }
          />
          Background colour
        </label>
        {doc.background !== null && (
          <ColourField
            label="Background"
            value={doc.background}
            onChange={(background) => change((d) => ({ ...d, background }), 'background')}
          />
        )}
      </section>
    </>
  );
}

function PlacedSection({ placed }: { placed: Placed }) {
  return (
    <section className="section">
      <h2 className="section-title">{placed.name}</h2>
      <MovableField item={placed.id} channel="x" />
      <MovableField item={placed.id} channel="y" />
      <MovableField item={placed.id} channel="scale" />
      <MovableField item={placed.id} channel="rotation" />
      <MovableField item={placed.id} channel="opacity" />
    </section>
  );
}
