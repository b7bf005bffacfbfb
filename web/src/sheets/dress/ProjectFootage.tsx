import { Film, Trash2, X } from 'lucide-react';
import { useState } from 'react';
import type { KeptFootage } from '../../api/client';
import { chooseFootage } from '../../stage/pictureDrop';
import { addFootage, giveUp, removeFootage, useFootage, useUploads } from '../../state/footage';
import { shown } from '../../ui/arithmetic';
import { IconButton } from '../../ui/IconButton';
import { TakeOut } from './TakeOut';

/** The footage that the project keeps, to be used again, what is on its way, and new. */
export function ProjectFootage() {
  const footage = useFootage().data ?? [];
  const uploads = useUploads((s) => s.all);
  const [asked, setAsked] = useState<{ footage: KeptFootage; shown: string } | null>(null);
  const remove = async (f: KeptFootage) => {
    const used = await removeFootage(f, false);
    if (used) setAsked({ footage: f, shown: used });
  };
  return (
    <section className="section">
      <h2 className="section-title">Footage of this project</h2>
      {footage.length > 0 && (
        <ul className="mb-2 flex flex-col gap-1" aria-label="Footage of this project">
          {footage.map((f) => (
            <li key={f.id} className="flex items-center gap-2">
              <button
                type="button"
                className="flex min-w-0 flex-1 items-center gap-2 rounded-md text-left hover:bg-paper"
                aria-label={`Add ${f.name}`}
                title={`Add ${f.name} (${f.width} × ${f.height} px, ${shown(f.rate, 2)} frames/s)${f.used ? '' : '; no scene shows it'}`}
                onClick={() => addFootage(f)}
              >
                <span className="chequer flex h-9 w-16 shrink-0 items-center justify-center overflow-hidden rounded-md border border-rule">
                  <img
                    src={`/api/footage/${f.id}/still`}
                    alt=""
                    className="max-h-full max-w-full"
                  />
                </span>
                <span className="min-w-0">
                  <span className="block truncate">{f.name}</span>
                  <span className="block truncate text-[12px] text-soft">{stateOf(f)}</span>
                </span>
              </button>
              <IconButton
                label={`Take ${f.name} out of this project`}
                onClick={() => void remove(f)}
              >
                <Trash2 className="size-3.5" />
              </IconButton>
            </li>
          ))}
        </ul>
      )}
      {uploads.map((u) => (
        <div key={u.key} className="mb-2 flex items-center gap-2" data-testid="upload">
          <span className="min-w-0 flex-1">
            <span className="block truncate text-[12px]">
              {u.name}: {u.waiting ? 'waiting for the connection' : onItsWay(u.done)}
            </span>
            <progress
              className="block h-1.5 w-full accent-(--teal)"
              value={u.done}
              aria-label={u.name}
            />
          </span>
          <IconButton label={`Give ${u.name} up`} onClick={() => giveUp(u.key)}>
            <X className="size-3.5" />
          </IconButton>
        </div>
      ))}
      <button type="button" className="btn w-full" onClick={chooseFootage}>
        <Film className="size-4" /> Add footage
      </button>
      <p className="mt-1.5 text-[12px] leading-snug text-soft">
        MP4, MOV, WebM, a moving GIF or WebP, or a ZIP of numbered stills, up to 2 GB. Or drop it on
        the stage.
      </p>
      <TakeOut
        name={asked?.footage.name}
        shown={asked?.shown ?? ''}
        onClose={() => setAsked(null)}
        onTakeOut={() => asked && void removeFootage(asked.footage, true)}
      />
    </section>
  );
}

function onItsWay(done: number): string {
  return done < 1 ? `${Math.floor(done * 100)} %` : 'being looked into';
}

function stateOf(f: KeptFootage): string {
  if (f.state === 'failed') return f.message ?? 'It cannot be used';
  if (f.state === 'preparing') return `being made ready, ${Math.round(f.done * 100)} %`;
  return `${shown(f.length, 2)} s${f.sound ? ', with sound' : ''}`;
}
