import { useRef, useState } from 'react';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useQueryClient } from '@tanstack/react-query';
import { Check, ChevronDown, Trash2, Upload } from 'lucide-react';
import { api, type Face } from '../../api/client';
import type { Lettering } from '../../core/document';
import { reopen, useEditor } from '../../state/editor';
import { useShared } from '../../state/shared';
import { changeChosen } from '../../state/values';
import { useFaces } from '../../state/faces';
import { notify } from '../../state/notices';
import { MIXED } from '../../ui/Choice';
import { IconButton } from '../../ui/IconButton';
import { FileInput } from '../../ui/FileInput';

const LARGEST = 30_000_000;

/** The typefaces, each shown in itself; further ones from files. */
export function FacePicker({ lettering }: { lettering: Lettering }) {
  const faces = useFaces();
  const face = faces.find((f) => f.id === lettering.face);
  const project = useEditor((s) => s.projectId) ?? '';
  const queries = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const choose = (f: Face) =>
    changeChosen(lettering.id, { face: f.id, faceName: f.name, axes: {}, features: {} });

  const upload = async (file: File) => {
    if (file.size > LARGEST) {
      notify('The font has more than 30 MB; use a smaller cut of it.', 'error');
      return;
    }
    setBusy(true);
    try {
      const kept = await api.keepFace(project, file);
      await queries.invalidateQueries({ queryKey: ['faces', project] });
      choose(kept);
      notify(`${kept.name} is kept with this project.`);
    } catch (e) {
      notify(e instanceof Error ? e.message : 'The font could not be kept', 'error');
    } finally {
      setBusy(false);
    }
  };
  const remove = async (f: Face) => {
    try {
      await api.removeFace(project, f.id);
    } catch (e) {
      notify(e instanceof Error ? e.message : 'The typeface could not be taken out', 'error');
    }
    await queries.invalidateQueries({ queryKey: ['faces', project] });
    reopen(f.id);
  };

  const name = useShared(lettering)((l) => l.face) === null ? MIXED : face?.name;
  const missing = faces.length > 0 && !face;
  return (
    <>
      <Popover className="mb-1.5 flex items-center gap-2">
        <span className="w-23 shrink-0 text-soft">Face</span>
        <PopoverButton
          className="field flex items-center justify-between gap-1 text-left"
          aria-label={`Face: ${name ?? lettering.faceName ?? lettering.face}`}
        >
          <span className="truncate text-[15px]" style={{ fontFamily: family(lettering.face) }}>
            {name ?? lettering.faceName ?? lettering.face}
          </span>
          <ChevronDown className="size-3.5 shrink-0 text-soft" />
        </PopoverButton>
        <PopoverPanel
          anchor={{ to: 'right start', gap: 10 }}
          className="menu max-h-130 w-84 overflow-auto p-1.5"
          aria-label="Typefaces"
        >
          {({ close }) => (
            <>
              <button
                type="button"
                className="btn mb-1.5 w-full"
                disabled={busy}
                onClick={() => input.current?.click()}
              >
                <Upload className="size-4" /> {busy ? 'Reading the font…' : 'Add a font file'}
              </button>
              <ul>
                {faces.map((f) => (
                  <Specimen
                    key={f.id}
                    face={f}
                    chosen={f.id === lettering.face}
                    text={lettering.text}
                    onChoose={() => {
                      choose(f);
                      close();
                    }}
                    onRemove={f.own ? () => void remove(f) : undefined}
                  />
                ))}
              </ul>
            </>
          )}
        </PopoverPanel>
      </Popover>
      <FileInput
        input={input}
        accept=".ttf,.otf,.woff,.woff2,font/*"
        testId="font-file"
        onFile={(file) => void upload(file)}
      />
      {missing && (
        <p role="alert" className="mb-2 text-[12px] text-ochre">
          The typeface “{lettering.faceName ?? lettering.face}” is not kept with this project. The
          words are shown in DejaVu Sans until it is added again or another is chosen.
        </p>
      )}
      {face && (face.copyright || face.licence) && (
        <p
          className="mb-2 truncate text-[11px] text-soft"
          title={[face.copyright, face.licence, face.licenceUrl].filter(Boolean).join('\n')}
        >
          {face.copyright || face.licence}
        </p>
      )}
    </>
  );
}

const family = (id: string) => `'face ${id}', 'face dejavu-sans'`;

interface SpecimenProps {
  face: Face;
  chosen: boolean;
  text: string;
  onChoose: () => void;
  onRemove?: () => void;
}

/** A typeface by its name and a few of the lettering's own words. */
function Specimen({ face, chosen, text, onChoose, onRemove }: SpecimenProps) {
  const words = text.trim().split('\n')[0]?.slice(0, 28);
  return (
    <li className="flex items-center gap-1">
      <button
        type="button"
        className={`flex min-w-0 flex-1 items-center gap-2 rounded-md px-2 py-1.5 text-left hover:bg-wash ${chosen ? 'bg-wash' : ''}`}
        aria-pressed={chosen}
        onClick={onChoose}
      >
        <Check className={`size-3.5 shrink-0 ${chosen ? 'text-teal' : 'invisible'}`} />
        <span className="min-w-0 flex-1">
          <span className="flex justify-between gap-2 text-[11px] text-soft">
            <span className="truncate">{face.name}</span>
            <span className="shrink-0">{face.own ? 'of this project' : face.character}</span>
          </span>
          <span className="block truncate text-[18px]" style={{ fontFamily: family(face.id) }}>
            {words || face.name}
          </span>
        </span>
      </button>
      {onRemove && (
        <IconButton label={`Take ${face.name} out of this project`} onClick={onRemove}>
          <Trash2 className="size-3.5" />
        </IconButton>
      )}
    </li>
  );
}
