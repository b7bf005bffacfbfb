import { useRef } from 'react';
import { Replace } from 'lucide-react';
import type { Picture } from '../../core/document';
import { isMissing, useBitmaps } from '../../stage/bitmaps';
import { PICTURE_FILES, replaceWithFile } from '../../state/pictures';
import { FileInput } from '../../ui/FileInput';
import { BitmapFields } from './BitmapFields';
import { Thumbnail } from './Thumbnail';

/** What a picture shows, how large it is, where it stands and what is cut off. */
export function PictureSection({ picture }: { picture: Picture }) {
  const input = useRef<HTMLInputElement>(null);
  useBitmaps((s) => s.arrived);
  const missing = isMissing(picture.image);
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
      <BitmapFields item={picture} />
      <FileInput
        input={input}
        accept={PICTURE_FILES}
        testId="replace-file"
        onFile={(file) => void replaceWithFile(picture.id, file)}
      />
    </section>
  );
}
