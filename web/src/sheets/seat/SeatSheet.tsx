import { BookOpenCheck } from 'lucide-react';
import type { Fit, Lettering, Seat } from '../../core/document';
import type { Edit } from '../../core/core';
import { applyEdit, beginGesture, endGesture, useEditor } from '../../state/editor';
import { isLocked, letteringOf } from '../../state/items';
import { useShared } from '../../state/shared';
import { changePart, chosenWith } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice, Segments } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { MovableField } from '../../ui/MovableField';
import { NumberField } from '../../ui/NumberField';
import { ProfileList } from './ProfileList';

/** How the lettering sits on its path. */
export function SeatSheet({ lettering }: { lettering: Lettering }) {
  const closed = useEditor((s) => s.summary?.paths[lettering.path]?.closed ?? false);
  const { seat, id } = lettering;
  const shared = useShared(lettering);
  const all = () => {
    const { doc } = useEditor.getState();
    return chosenWith(id).filter((i) => letteringOf(doc, i) && !isLocked(doc, i));
  };
  /** One step of the history for all that are chosen. */
  const each = (edit: (item: string, time: number) => Edit) => {
    const { time } = useEditor.getState();
    beginGesture();
    all()
      .map((item) => edit(item, time))
      .forEach((e) => applyEdit(e, `${id}.${e.op}`));
    endGesture();
  };
  const put = (parts: Partial<Seat>, merge = '') => changePart(id, 'seat', parts, merge);
  const profiles = lettering.profiles?.length ?? 0;
  return (
    <>
      <section className="section">
        <h2 className="section-title">Along the path</h2>
        <Segments
          label="Align"
          value={shared((l) => l.seat.align)}
          options={[
            { value: 'start', label: 'Start' },
            { value: 'middle', label: 'Middle' },
            { value: 'end', label: 'End' },
          ]}
          onChange={(align) => put({ align })}
        />
        <MovableField item={id} channel="pathOffset" />
        <MovableField item={id} channel="startMargin" />
        <MovableField item={id} channel="endMargin" />
        <Choice
          label="Past the ends"
          value={shared((l) => l.seat.ends ?? (closed ? 'wrap' : 'continue'))}
          options={[
            { value: 'continue', label: 'Straight on' },
            { value: 'cut', label: 'Cut off' },
            { value: 'wrap', label: 'Come round' },
          ]}
          onChange={(ends) => put({ ends })}
        />
      </section>
      <section className="section">
        <h2 className="section-title">Filling the room</h2>
        <Fitting lettering={lettering} closed={closed} put={put} />
      </section>
      <section className="section">
        <h2 className="section-title">Across the path</h2>
        <Segments
          label="Side"
          value={shared((l) => l.seat.side)}
          options={[
            {
              value: 'left',
              label: closed ? 'Outside' : 'Left',
              detail: 'Left of the direction of travel',
            },
            {
              value: 'right',
              label: closed ? 'Inside' : 'Right',
              detail: 'Right, read the other way; the words stay where they are',
            },
          ]}
          onChange={(side) => each((item, time) => ({ op: 'side', item, side, time }))}
        />
        <Segments
          label="At the line"
          value={shared((l) => l.seat.baseline ?? 'alphabetic')}
          options={[
            { value: 'alphabetic', label: 'Stand', detail: 'Letters stand on the line' },
            { value: 'central', label: 'Centre', detail: 'The line runs through their middle' },
            {
              value: 'hanging',
              label: 'Hang',
              detail: 'Letters hang from the line: below it and upright where it runs to the right',
            },
          ]}
          onChange={(baseline) => put({ baseline })}
        />
        <button
          type="button"
          className="btn mb-1.5 w-full"
          title="Brings the words upright where they are now: further round a closed path, else on the other side"
          onClick={() => each((item, time) => ({ op: 'readable', item, time }))}
        >
          <BookOpenCheck className="size-4" /> Make it readable
        </button>
        <MovableField item={id} channel="baselineShift" />
      </section>
      <section className="section">
        <h2 className="section-title">Letters</h2>
        <Segments
          label="Letters"
          value={shared((l) => l.seat.orientation)}
          options={[
            { value: 'turn', label: 'Turn', detail: 'Turn with the path' },
            { value: 'upright', label: 'Upright', detail: 'Stay upright' },
            { value: 'fixed', label: 'Fixed', detail: 'All at one angle' },
          ]}
          onChange={(orientation) => put({ orientation })}
        />
        {seat.orientation === 'fixed' && <MovableField item={id} channel="fixedAngle" />}
        <MovableField item={id} channel="letterTurn" />
        <Segments
          label="Shape"
          value={shared((l) => l.seat.method ?? 'rigid')}
          options={[
            { value: 'rigid', label: 'Rigid', detail: 'Letters keep their shape' },
            { value: 'bent', label: 'Bent', detail: 'Letters curve with the line' },
          ]}
          onChange={(method) => put({ method })}
        />
        <Segments
          label="At corners"
          value={shared((l) => l.seat.corners ?? 'blend')}
          options={[
            { value: 'blend', label: 'Swing', detail: 'Letters swing round a corner' },
            {
              value: 'exact',
              label: 'Turn at once',
              detail: 'As the path does under the middle of each letter, the way of SVG',
            },
          ]}
          onChange={(corners) => put({ corners })}
        />
        <Check
          label="Even spacing on bends"
          detail="Distances are kept true at half the height of a small letter, not on the line"
          value={shared((l) => l.seat.evenSpacing ?? false)}
          onChange={(evenSpacing) => put({ evenSpacing })}
        />
        <NumberField
          label="Least gap"
          unit="px"
          mixed={shared((l) => l.seat.leastGap ?? 0) === null}
          value={seat.leastGap ?? 0}
          onChange={(leastGap) => put({ leastGap }, 'leastGap')}
        />
      </section>
      <Fold title="Letters along the run" aside={profiles || ''} open={profiles > 0}>
        <ProfileList lettering={lettering} />
      </Fold>
    </>
  );
}

const FITS: { value: Fit; label: string; detail: string }[] = [
  { value: 'natural', label: 'Natural', detail: 'as long as it is' },
  { value: 'spread', label: 'Spread', detail: 'space between' },
  { value: 'stretch', label: 'Stretch', detail: 'wider letters' },
  { value: 'scale', label: 'Scale', detail: 'type size' },
  { value: 'repeat', label: 'Repeat', detail: 'as often as fits' },
];

interface FittingProps {
  lettering: Lettering;
  closed: boolean;
  put: (parts: Partial<Seat>, merge?: string) => void;
}

const THROUGH = {
  value: 'through' as const,
  label: 'Runs through',
  detail: 'Part after part, as it goes by',
};

function Fitting({ lettering, closed, put }: FittingProps) {
  const { seat, id } = lettering;
  const info = useEditor((s) => s.summary?.items[id]);
  const shared = useShared(lettering);
  const fit = seat.fit ?? 'natural';
  return (
    <>
      <Choice
        label="Fit"
        value={shared((l) => l.seat.fit ?? 'natural')}
        options={FITS}
        onChange={(v) => put({ fit: v })}
      />
      {fit === 'spread' && (
        <Segments
          label="Space goes"
          value={shared((l) => l.seat.spreadBy ?? 'letters')}
          options={[
            { value: 'letters', label: 'To letters', detail: 'Between all letters' },
            { value: 'words', label: 'To words', detail: 'Between words only' },
          ]}
          onChange={(spreadBy) => put({ spreadBy })}
        />
      )}
      {closed && (
        <NumberField
          label="Seam gap"
          unit="px"
          mixed={shared((l) => l.seat.seamGap ?? 0) === null}
          value={seat.seamGap ?? 0}
          onChange={(seamGap) => put({ seamGap }, 'seamGap')}
        />
      )}
      {(fit === 'natural' || fit === 'repeat') && (
        <Choice
          label="If too long"
          value={shared((l) => l.seat.overlong ?? 'on')}
          options={[
            { value: 'on', label: closed ? 'Goes on under itself' : 'Goes on' },
            { value: 'cut', label: 'Cut to the room' },
            { value: 'shrink', label: 'Shrink to fit' },
            ...(closed || seat.overlong === 'through' ? [THROUGH] : []),
          ]}
          onChange={(overlong) => put({ overlong })}
        />
      )}
      {info?.room !== undefined && info.text !== undefined && (
        <p className="text-[12px] text-soft" data-testid="fit-facts">
          Text {info.text.toFixed(0)} px in a room of {info.room.toFixed(0)} px
          {info.size !== undefined && fit === 'scale' ? `, set at ${info.size.toFixed(1)} px` : ''}
        </p>
      )}
    </>
  );
}
