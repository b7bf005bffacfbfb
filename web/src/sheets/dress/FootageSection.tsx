import { useTimeWords } from '../../state/timeUnit';
import { useRef } from 'react';
import * as core from '../../core/core';
import type { Footage } from '../../core/document';
import { useBitmaps } from '../../stage/bitmaps';
import { isFootageMissing, useFramesKnown } from '../../stage/footage';
import { useEditor } from '../../state/editor';
import { FOOTAGE_FILES, replaceFootage, useFootage } from '../../state/footage';
import { changeItem, changeScene, setShown } from '../../state/values';
import { shown } from '../../ui/arithmetic';
import { Check } from '../../ui/Check';
import { Segments } from '../../ui/Choice';
import { FileInput } from '../../ui/FileInput';
import { NumberField } from '../../ui/NumberField';
import { TimeField } from '../../ui/TimeField';
import { BitmapFields } from './BitmapFields';
import { FootageStrip } from './FootageStrip';

/** What of a footage is shown, when and how fast, how it sounds, and where it stands. */
export function FootageSection({ footage }: { footage: Footage }) {
  const words = useTimeWords();
  const input = useRef<HTMLInputElement>(null);
  useBitmaps((s) => s.arrived);
  const time = useEditor((s) => s.time);
  const length = useEditor((s) => s.doc?.length ?? 0);
  useEditor((s) => s.shown);
  const kept = useFootage().data?.find((f) => f.id === footage.image);
  const missing = isFootageMissing(footage.image);
  const put = (parts: Partial<Footage>, merge = '') =>
    changeItem(footage.id, parts, merge && `${footage.id}.${merge}`);
  const first = footage.in ?? 0;
  const last = footage.out ?? footage.length;
  const begins = Math.max(footage.shownFrom ?? 0, 0);
  const ends = begins + (last - first) / (footage.speed ?? 1);
  const now = core.momentOf(footage.id, time);
  const moment = Number.isNaN(now) ? null : now;
  const known = useFramesKnown(footage.image);
  return (
    <section className="section">
      <h2 className="section-title">{footage.name}</h2>
      <p className="mb-2 text-[12px] text-soft">
        {footage.pixelWidth} × {footage.pixelHeight} px, {shown(footage.rate, 2)} frames/s,{' '}
        {words(footage.length)}
        {kept && (kept.sound ? ', with sound' : ', without sound')}
      </p>
      {kept?.state === 'preparing' && (
        <p role="status" className="mb-2 text-[12px] text-ochre">
          Its frames are being made ready, {Math.round(kept.done * 100)} %. Until then the stage
          shows the first one.
        </p>
      )}
      {(missing || kept?.state === 'failed') && (
        <p role="alert" className="mb-2 text-[12px] text-ochre">
          {kept?.message
            ? `${kept.message}. Replace it, or remove it from the stack.`
            : 'This footage is not kept here any more, so nothing is shown. Replace it, or remove it from the stack.'}
        </p>
      )}
      <FootageStrip footage={footage} moment={moment} />
      <div className="mb-2 flex gap-1.5">
        <button
          type="button"
          className="btn flex-1"
          title="What is shown at the playhead comes first from now on"
          disabled={!known || moment === null || moment >= last - 0.5 / footage.rate}
          onClick={() => put({ in: frameAt(footage, moment!) })}
        >
          In here
        </button>
        <button
          type="button"
          className="btn flex-1"
          title="What is shown at the playhead is the last of it from now on"
          disabled={!known || moment === null}
          onClick={() => put({ out: frameAt(footage, moment!, 1) })}
        >
          Out here
        </button>
        <button type="button" className="btn flex-1" onClick={() => input.current?.click()}>
          Replace
        </button>
      </div>
      <TimeField
        label="In"
        decimals={3}
        step={1 / footage.rate}
        value={first}
        onChange={(v) => put({ in: v }, 'in')}
      />
      <TimeField
        label="Out"
        decimals={3}
        step={1 / footage.rate}
        value={last}
        onChange={(v) => put({ out: v }, 'out')}
      />
      <TimeField
        label="Begins at"
        decimals={3}
        value={begins}
        onChange={(from) => setShown(footage.id, { from }, 'begins')}
      />
      <NumberField
        label="Speed"
        unit="×"
        decimals={3}
        step={0.1}
        value={footage.speed ?? 1}
        onChange={(speed) => put({ speed }, 'speed')}
      />
      <Segments
        label="At its end"
        value={footage.atEnd ?? 'hold'}
        options={[
          { value: 'loop', label: 'Again', detail: 'It begins again' },
          { value: 'hold', label: 'Stays', detail: 'Its last frame stays' },
          { value: 'end', label: 'Gone', detail: 'Nothing of it is shown any more' },
        ]}
        onChange={(atEnd) => put({ atEnd })}
      />
      {Math.abs(ends - length) > 0.5 / footage.rate && (
        <button
          type="button"
          className="btn mb-2 w-full"
          onClick={() => changeScene({ length: Math.round(ends * 1000) / 1000 })}
        >
          End the scene with it, at {words(ends)}
        </button>
      )}
      {kept?.sound && <SoundFields footage={footage} put={put} />}
      <BitmapFields item={footage} />
      <FileInput
        input={input}
        accept={FOOTAGE_FILES}
        testId="replace-footage"
        onFile={(file) => void replaceFootage(footage.id, file)}
      />
    </section>
  );
}

interface SoundProps {
  footage: Footage;
  put: (parts: Partial<Footage>, merge?: string) => void;
}

function SoundFields({ footage, put }: SoundProps) {
  const on = footage.sound ?? true;
  return (
    <>
      <Check label="Sound" detail="In videos" value={on} onChange={(sound) => put({ sound })} />
      {on && (
        <>
          <NumberField
            label="Level"
            unit="dB"
            decimals={1}
            step={1}
            value={footage.level ?? 0}
            onChange={(level) => put({ level }, 'level')}
          />
          <TimeField
            label="Comes up in"
            value={footage.fadeIn ?? 0}
            onChange={(fadeIn) => put({ fadeIn }, 'fadeIn')}
          />
          <TimeField
            label="Dies away in"
            value={footage.fadeOut ?? 0}
            onChange={(fadeOut) => put({ fadeOut }, 'fadeOut')}
          />
        </>
      )}
    </>
  );
}

/** Where the frame of a moment begins, or the one after it; else the end of the footage. */
function frameAt({ image, length }: Footage, moment: number, after = 0): number {
  const time = core.frameTime(image, core.frameOf(image, moment) + after);
  return Number.isFinite(time) ? Math.min(time, length) : length;
}
