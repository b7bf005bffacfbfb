import { ImagePlus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { KeptPicture } from '../../api/client';
import { choosePictures } from '../../stage/pictureDrop';
import { addPicture, removePicture, usePictures } from '../../state/pictures';
import { IconButton } from '../../ui/IconButton';
import { TakeOut } from './TakeOut';
import { Thumbnail } from './Thumbnail';

/** The pictures that the project keeps, to be used again, and new ones. */
export function ProjectPictures() {
  const pictures = usePictures().data ?? [];
  const [asked, setAsked] = useState<{ picture: KeptPicture; shown: string } | null>(null);
  const remove = async (picture: KeptPicture) => {
    const shown = await removePicture(picture, false);
    if (shown) setAsked({ picture, shown });
  };
  return (
    <section className="section">
      <h2 className="section-title">Pictures of this project</h2>
      {pictures.length > 0 && (
        <ul className="mb-2 flex flex-wrap gap-2" aria-label="Pictures of this project">
          {pictures.map((p) => (
            <li key={p.id} className="group relative">
              <button
                type="button"
                className="block rounded-md"
                title={`Add ${p.name} (${p.width} × ${p.height} px)${p.used ? '' : '; no scene shows it'}`}
                aria-label={`Add ${p.name}`}
                onClick={() => addPicture(p)}
              >
                <Thumbnail id={p.id} name="" />
              </button>
              <span className="absolute -top-1.5 -right-1.5 rounded-full border border-rule bg-sheet opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 pointer-coarse:opacity-100">
                <IconButton
                  label={`Take ${p.name} out of this project`}
                  onClick={() => void remove(p)}
                >
                  <Trash2 className="size-3.5" />
                </IconButton>
              </span>
            </li>
          ))}
        </ul>
      )}
      <button type="button" className="btn w-full" onClick={choosePictures}>
        <ImagePlus className="size-4" /> Add pictures
      </button>
      <p className="mt-1.5 text-[12px] leading-snug text-soft">
        PNG, JPEG, WebP, AVIF, GIF or SVG. Or drop them on the stage, or paste one.
      </p>
      <TakeOut
        name={asked?.picture.name}
        shown={asked?.shown ?? ''}
        onClose={() => setAsked(null)}
        onTakeOut={() => asked && void removePicture(asked.picture, true)}
      />
    </section>
  );
}
