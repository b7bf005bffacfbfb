import { labelOf } from '../core/core';
import type { Channel } from '../core/document';
import { letteringOf, pictureOf, useEditor } from '../state/editor';
import { clock } from '../stage/time';
import { MovableField } from '../ui/MovableField';

const OF_LETTERING: Channel[] = [
  'pathOffset',
  'startMargin',
  'endMargin',
  'baselineShift',
  'size',
  'opacity',
  'rotation',
];
const OF_PICTURE: Channel[] = ['rotation', 'opacity'];

/** Every value that can move, at the playhead, with its ring. */
export function MoveSheet() {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const time = useEditor((s) => s.time);
  const channels = useEditor((s) => s.summary?.items[s.selected ?? '']?.channels);
  const charted = useEditor((s) => s.charted);
  const item = letteringOf(doc, selected) ?? pictureOf(doc, selected);
  if (!doc || !item) {
    return (
      <p className="rounded-lg bg-paper p-3">
        Choose what is to move, on the stage or in the stack.
      </p>
    );
  }
  const all = letteringOf(doc, item.id) ? OF_LETTERING : OF_PICTURE;
  const moving = all.filter((c) => channels?.[c]);
  return (
    <>
      <section className="section">
        <h2 className="section-title">At {clock(doc, time)}</h2>
        {all.map((c) => (
          <MovableField key={c} item={item.id} channel={c} />
        ))}
        <p className="mt-2 text-[12px] leading-snug text-soft">
          A ring sets or removes a keyframe at the playhead. A value without keyframes is still, and
          stays so when you edit it. Hold Alt to shift a whole movement.
        </p>
      </section>
      <section className="section">
        <h2 className="section-title">What moves</h2>
        {moving.length === 0 && (
          <p className="text-soft">Nothing yet. Click the ring of a value to begin.</p>
        )}
        <ul className="space-y-1">
          {moving.map((c) => (
            <li key={c}>
              <button
                type="button"
                aria-pressed={c === charted}
                className={`flex w-full justify-between rounded-md border px-2.5 py-1.5 text-left ${
                  c === charted ? 'border-teal bg-wash' : 'border-rule hover:border-soft'
                }`}
                onClick={() => useEditor.setState({ charted: c, keyframe: null })}
              >
                {labelOf(c)}
                <span className="text-soft">
                  {channels?.[c]?.length} {channels?.[c]?.length === 1 ? 'keyframe' : 'keyframes'}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}
