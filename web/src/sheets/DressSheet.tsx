import type { Picture } from '../core/document';
import { change, changeLettering, letteringOf, pictureOf, useEditor } from '../state/editor';
import { ColourField } from '../ui/ColourField';
import { MovableField } from '../ui/MovableField';
import { NumberField } from '../ui/NumberField';

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
          <ColourField
            label="Fill"
            value={lettering.fill}
            onChange={(fill) => changeLettering(lettering.id, { fill }, `${lettering.id}.fill`)}
          />
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
  const put = (parts: Partial<Picture>) =>
    change(
      (d) => ({
        ...d,
        pictures: d.pictures.map((p) => (p.id === picture.id ? { ...p, ...parts } : p)),
      }),
      `picture.${picture.id}`,
    );
  return (
    <section className="section">
      <h2 className="section-title">{picture.name}</h2>
      <NumberField label="x" unit="px" value={picture.x} onChange={(x) => put({ x })} />
      <NumberField label="y" unit="px" value={picture.y} onChange={(y) => put({ y })} />
      <NumberField
        label="Scale"
        unit="%"
        value={picture.scale * 100}
        onChange={(v) => put({ scale: v / 100 })}
      />
      <MovableField item={picture.id} channel="rotation" />
      <MovableField item={picture.id} channel="opacity" />
    </section>
  );
}
