import type { Picture } from '../core/document';
import { change, letteringOf, pictureOf, useEditor } from '../state/editor';
import { ColourField } from '../ui/ColourField';
import { MovableColour } from '../ui/MovableColour';
import { MovableField } from '../ui/MovableField';

/** Colours of the chosen item and the backdrop; place and turn of a picture. */
export function DressSheet() {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const lettering = letteringOf(doc, selected);
  const picture = pictureOf(doc, selected);
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
      {picture && <PictureSection picture={picture} />}
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

function PictureSection({ picture }: { picture: Picture }) {
  return (
    <section className="section">
      <h2 className="section-title">{picture.name}</h2>
      <MovableField item={picture.id} channel="x" />
      <MovableField item={picture.id} channel="y" />
      <MovableField item={picture.id} channel="scale" decimals={3} step={0.01} />
      <MovableField item={picture.id} channel="rotation" />
      <MovableField item={picture.id} channel="opacity" />
    </section>
  );
}
