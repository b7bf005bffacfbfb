import type { SceneDoc } from '../../core/document';
import { useEditor } from '../../state/editor';
import { isLocked, itemOf } from '../../state/items';
import { setShown } from '../../state/values';
import { TimeField } from '../../ui/TimeField';

/** When an item is there. What has no time of its own is there from the start or to the end. */
export function ShownFields({ id }: { id: string }) {
  const doc = useEditor((s) => s.doc);
  const item = itemOf(doc, id);
  if (!doc || !item) return null;
  const locked = isLocked(doc, id);
  const time = () => useEditor.getState().time;
  const limited = item.shownFrom !== undefined || item.shownTo !== undefined;
  return (
    <>
      <TimeField
        label="Shown from"
        disabled={locked}
        value={item.shownFrom ?? 0}
        onChange={(from) => setShown(id, { from }, 'shown-from')}
      />
      <TimeField
        label="Shown to"
        disabled={locked}
        value={item.shownTo ?? doc.length}
        onChange={(to) => setShown(id, { to }, 'shown-to')}
      />
      <div className="mt-1 flex gap-1.5">
        <button
          type="button"
          className="btn flex-1"
          disabled={locked}
          onClick={() => setShown(id, { from: time() })}
        >
          From here
        </button>
        <button
          type="button"
          className="btn flex-1"
          disabled={locked}
          onClick={() => setShown(id, { to: time() })}
        >
          To here
        </button>
        <button
          type="button"
          className="btn flex-1"
          disabled={!limited || locked}
          onClick={() => setShown(id, { from: null, to: null })}
        >
          Always
        </button>
      </div>
      <p className="mt-2 text-[12px] leading-snug text-soft">
        It is there from the first time up to the frame before the second. “Here” is the playhead.
      </p>
    </>
  );
}

/** When an item is there, in a few words. */
export function shownWords(doc: SceneDoc, id: string, words: (time: number) => string): string {
  const { shownFrom, shownTo } = itemOf(doc, id) ?? {};
  if (shownFrom === undefined && shownTo === undefined) return 'always';
  return `${words(shownFrom ?? 0)} to ${words(shownTo ?? doc.length)}`;
}
