import { useRef } from 'react';
import { Replace } from 'lucide-react';
import type { Picture } from '../../core/document';
import { isMissing, useBitmaps } from '../../stage/bitmaps';
import { OF_CROP, OF_PICTURE, OF_PLACED } from '../../state/channels';
import { applyEdit, useEditor } from '../../state/editor';
import { PICTURE_FILES, replaceWithFile } from '../../state/pictures';
import { FileInput } from '../../ui/FileInput';
import { MovableField } from '../../ui/MovableField';
import { CentreFields } from '../CentreFields';
import { Thumbnail } from './Thumbnail';

const SIZES = [
  { size: 'fit', label: 'Fit', title: 'As large as it can be with all of it in the frame' },
  { size: 'fill', label: 'Fill', title: 'As small as it can be and still cover the frame' },
  { size: 'natural', label: 'Natural', title: 'A pixel of the picture is a pixel of the scene' },
] as const;

/** What a picture shows, how large it is, where it stands and what is cut off. */
export function PictureSection({ picture }: { picture: Picture }) {
  const input = useRef<HTMLInputElement>(null);
  useBitmaps((s) => s.arrived);
  const missing = isMissing(picture.image);
  const put = (size: (typeof SIZES)[number]['size']) =>
    applyEdit({ op: 'sizePicture', item: picture.id, size, time: useEditor.getState().time });
  return (
    <section className="section">
      <h2 className="section-title">{picture.name}</h2>
      <div className="mb-2 flex items-center gap-2.5">
        <Thumbnail id={picture.image} name={picture.name ?? ''} />
        <div className="min-w-0 flex-1">
          <p className="mb-1 text-[12px] text-soft">
            {picture.pixelWidth} × {picture.pixelHeight} px
          </p>
          <button type="button" className="btn w-full" onClick={() => input.current?.click()}>
            <Replace className="size-4" /> Replace
          </button>
        </div>
      </div>
      {missing && (
        <p role="alert" className="mb-2 text-[12px] text-ochre">
          This picture is not kept here any more, so nothing is shown. Replace it, or remove it from
          the stack.
        </p>
      )}
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
        <MovableField key={c} item={picture.id} channel={c} />
      ))}
      <CentreFields item={picture.id} centre={picture.centre ?? [0, 0]} />
      <h3 className="mt-3 mb-1 font-medium">Crop</h3>
      {OF_CROP.map((c) => (
        <MovableField key={c} item={picture.id} channel={c} />
      ))}
      <FileInput
        input={input}
        accept={PICTURE_FILES}
        testId="replace-file"
        onFile={(file) => void replaceWithFile(picture.id, file)}
      />
    </section>
  );
}
