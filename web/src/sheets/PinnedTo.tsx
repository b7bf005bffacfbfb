import { useTimeWords } from '../state/timeUnit';
import type { GuidePath, Item, Pin, SceneDoc } from '../core/document';
import { applyEdit, setTime, useEditor } from '../state/editor';
import { isLocked, nameOf } from '../state/items';
import { chosenWith } from '../state/values';
import { Check } from '../ui/Check';
import { Choice } from '../ui/Choice';
import { Fold } from '../ui/Fold';

const NONE = '';

interface Props {
  label: string;
  pin: Pin | undefined;
  /** Pins as things stand at the playhead; with null nothing holds. */
  onPin: (to: string | null) => void;
  /** Fits the frame between the corners of what it holds to, or no longer. */
  onLaid?: (laid: boolean) => void;
  /** Id of an item whose own pins are not offered. */
  but?: string | undefined;
}

/** The pins of all footage of a scene, by name. */
function offered(doc: SceneDoc, but: string | undefined) {
  const films = doc.items.filter((i) => i.kind === 'footage' && i.id !== but);
  return films.flatMap((f) =>
    f.kind === 'footage'
      ? (f.pins ?? []).map((p) => ({
          value: p.id,
          label: films.length > 1 ? `${p.name}, in ${nameOf(doc, f.id)}` : p.name,
        }))
      : [],
  );
}

/** Whether what is followed is something flat. */
const isByCorners = (doc: SceneDoc, pin: string) =>
  doc.items.some(
    (i) => i.kind === 'footage' && i.pins?.some((p) => p.id === pin && p.by === 'corners'),
  );

/** What in footage something holds to; nothing is shown where nothing is followed. */
function PinnedTo({ label, pin, onPin, onLaid, but }: Props) {
  const doc = useEditor((s) => s.doc);
  const time = useEditor((s) => s.time);
  const words = useTimeWords();
  const pins = doc ? offered(doc, but) : [];
  if (pins.length === 0) return null;
  return (
    <>
      <Choice
        label={label}
        value={pin?.to ?? NONE}
        options={[{ value: NONE, label: 'Nothing in footage' }, ...pins]}
        onChange={(to) => onPin(to || null)}
      />
      {pin && onLaid && doc && isByCorners(doc, pin.to) && (
        <Check
          label="Laid between the corners"
          detail="All of the frame is fitted into them: what fills it covers them"
          value={pin.laid === true}
          onChange={onLaid}
        />
      )}
      {pin && !pin.laid && (
        <div className="mb-2 flex items-center gap-1.5 text-[12px] text-soft">
          <span className="flex-1">As it stands at {words(pin.at)}</span>
          <button type="button" className="btn" onClick={() => setTime(pin.at)}>
            Go there
          </button>
          <button
            type="button"
            className="btn"
            title="It stands as it does by itself at the playhead, and is moved from there"
            disabled={Math.abs(pin.at - time) < 1e-6}
            onClick={() => onPin(pin.to)}
          >
            Pin it here
          </button>
        </div>
      )}
    </>
  );
}

function pin(item: Item, to: string | null, laid: boolean) {
  const { doc, time } = useEditor.getState();
  const items = chosenWith(item.id).filter((i) => !isLocked(doc, i));
  applyEdit({ op: 'pinTo', items, to, laid, time });
}

/** What in footage an item holds to, where the scene has any. */
export function PinFold({ item }: { item: Item }) {
  const doc = useEditor((s) => s.doc);
  if (!doc?.items.some((i) => i.kind === 'footage' && i.id !== item.id)) return null;
  const pins = offered(doc, item.id);
  return (
    <Fold
      title="Pinned to footage"
      aside={pins.find((p) => p.value === item.pin?.to)?.label ?? 'off'}
      open={item.pin !== undefined}
    >
      {pins.length === 0 && (
        <p className="text-[12px] leading-snug text-soft">
          Nothing is followed in it yet. Choose the footage, and mark what moves in it in Dress.
        </p>
      )}
      <PinnedTo
        label="Goes with"
        pin={item.pin}
        but={item.id}
        onPin={(to) => pin(item, to, false)}
        onLaid={(laid) => pin(item, item.pin?.to ?? null, laid)}
      />
    </Fold>
  );
}

/** What in footage a path holds to, and with it the cuts, clips and words along it. */
export function PathPinnedTo({ path }: { path: GuidePath | undefined }) {
  if (!path) return null;
  return (
    <PinnedTo
      label="Path goes with"
      pin={path.pin}
      onPin={(to) =>
        applyEdit({ op: 'pinPath', path: path.id, to, time: useEditor.getState().time })
      }
    />
  );
}
