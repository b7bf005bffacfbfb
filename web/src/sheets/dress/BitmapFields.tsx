import type { Footage, Picture } from '../../core/document';
import { OF_CROP, OF_PICTURE, OF_PLACED } from '../../state/channels';
import { applyEdit, useEditor } from '../../state/editor';
import { MovableField } from '../../ui/MovableField';
import { CentreFields } from '../CentreFields';

const SIZES = [
  { size: 'fit', label: 'Fit', title: 'As large as it can be with all of it in the frame' },
  { size: 'fill', label: 'Fill', title: 'As small as it can be and still cover the frame' },
  { size: 'natural', label: 'Natural', title: 'A pixel of it is a pixel of the scene' },
] as const;

/** How large a picture or footage is, where it stands and what is cut off. */
export function BitmapFields({ item }: { item: Picture | Footage }) {
  const put = (size: (typeof SIZES)[number]['size']) =>
    applyEdit({ op: 'sizePicture', item: item.id, size, time: useEditor.getState().time });
  return (
    <>
      <div className="mb-2 flex gap-1.5" role="group" aria-label="Size in the frame">
        {SIZES.map((s) => (
          <button
            key={s.size}
            type="button"
            className="btn flex-1"
            title={s.title}
            onClick={() => put(s.size)}
          >
            {s.label}
          </button>
        ))}
      </div>
      {[...OF_PLACED, ...OF_PICTURE].map((c) => (
        <MovableField key={c} item={item.id} channel={c} />
      ))}
      <CentreFields item={item.id} centre={item.centre ?? [0, 0]} />
      <h3 className="mt-3 mb-1 font-medium">Crop</h3>
      {OF_CROP.map((c) => (
        <MovableField key={c} item={item.id} channel={c} />
      ))}
    </>
  );
}
