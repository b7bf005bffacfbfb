import { useRef } from 'react';
import { FileInput as FileIcon, Plus, Trash2 } from 'lucide-react';
import type { Cue } from '../../core/document';
import { applyEdit, setTime, useEditor } from '../../state/editor';
import { cueHere, newId } from '../../state/itemActions';
import { IconButton } from '../../ui/IconButton';
import { TimeField } from '../../ui/TimeField';
import { FileInput } from '../../ui/FileInput';
import { CueStill } from './CueStill';

const NONE: Cue[] = [];

/** Named moments; keyframes snap to them and can follow them. */
export function CueList() {
  const cues = useEditor((s) => s.doc?.cues) ?? NONE;
  const input = useRef<HTMLInputElement>(null);
  const take = async (file: File) => {
    applyEdit({ op: 'importCues', id: newId(), text: await file.text() });
  };
  return (
    <>
      {cues.map((c) => (
        <div key={c.id} className="mb-2 rounded-lg bg-paper p-2" data-testid="cue">
          <div className="mb-1 flex items-center gap-1">
            <CueStill time={c.time} />
            <input
              className="field"
              aria-label="Name of the cue"
              maxLength={200}
              defaultValue={c.name}
              onBlur={(e) =>
                e.target.value !== c.name &&
                applyEdit({ op: 'cue', cue: c.id, name: e.target.value || 'Cue' })
              }
            />
            <button type="button" className="btn px-2" onClick={() => setTime(c.time)}>
              Go
            </button>
            <IconButton
              label={`Delete ${c.name}`}
              onClick={() => applyEdit({ op: 'deleteCue', cue: c.id })}
            >
              <Trash2 className="size-3.5" />
            </IconButton>
          </div>
          <TimeField
            label="At"
            value={c.time}
            onChange={(time) => applyEdit({ op: 'cue', cue: c.id, time }, `cue.${c.id}`)}
          />
        </div>
      ))}
      <div className="flex gap-1.5">
        <button
          type="button"
          className="btn flex-1"
          title="Set a cue at the playhead (Q)"
          onClick={cueHere}
        >
          <Plus className="size-4" /> Cue here
        </button>
        <button
          type="button"
          className="btn flex-1"
          title="Take in the times of a WebVTT or SRT file"
          onClick={() => input.current?.click()}
        >
          <FileIcon className="size-4" /> From file
        </button>
      </div>
      <FileInput
        input={input}
        accept=".vtt,.srt,text/vtt"
        testId="cue-file"
        onFile={(file) => void take(file)}
      />
    </>
  );
}
