import { useTimeWords } from '../../state/timeUnit';
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { Crosshair, Trash2 } from 'lucide-react';
import type { Footage, FootagePin } from '../../core/document';
import { useFramesKnown } from '../../stage/footage';
import { applyEdit, useEditor } from '../../state/editor';
import {
  DOUBT,
  follow,
  goTo,
  markArea,
  markPin,
  openPin,
  stopFollowing,
  usePins,
} from '../../state/pins';
import { Fold } from '../../ui/Fold';
import { TimeField } from '../../ui/TimeField';
import { PinStrip } from './PinStrip';

/** What can be marked, and what that does to things that hold to it. */
const MARKS: { by: FootagePin['by']; label: string; title: string }[] = [
  { by: 'spot', label: 'A spot', title: 'What is pinned to it goes where it goes' },
  {
    by: 'two-spots',
    label: 'Two spots',
    title: 'What is pinned to them goes, turns and grows with them',
  },
  {
    by: 'corners',
    label: 'Four corners',
    title: 'Of a sign, a wall, a page: what is pinned to it lies on it as it is seen',
  },
];

const AREA_TITLE =
  'The part of something flat that lies within a path: what is pinned to it lies on it as it is seen';

const NOT_YET = 'Its frames are being made ready';

/** What to do with marks that were just made. */
const HOW: Record<FootagePin['by'], string> = {
  spot: 'Drag the mark on the stage onto something with detail, such as a corner, then follow it.',
  'two-spots':
    'Drag both marks on the stage onto something with detail, such as corners, then follow them.',
  corners:
    'Drag the four marks onto the corners of something flat, such as a sign, then follow them. ' +
    'What is pinned to them lies on it in perspective.',
};

/** What is followed in footage, so that other things can hold to it. */
export function PinsSection({ footage }: { footage: Footage }) {
  const pins = footage.pins ?? [];
  const paths = useEditor((s) => s.doc?.paths) ?? [];
  const known = useFramesKnown(footage.image);
  return (
    <Fold title="What moves in it" aside={pins.length || ''} open={pins.length > 0}>
      <p className="mb-2 text-[12px] leading-snug text-soft">
        Mark something in the picture and have it followed. Words, pictures, groups and paths can
        then be pinned to it: choose them, and go to Move.
      </p>
      <div className="mb-2 grid grid-cols-2 gap-1.5">
        {MARKS.map(({ by, label, title }) => (
          <button
            key={by}
            type="button"
            className="btn"
            disabled={!known}
            title={known ? title : NOT_YET}
            onClick={() => markPin(footage, by)}
          >
            {label}
          </button>
        ))}
        <Menu>
          <MenuButton
            className="btn w-full"
            disabled={!known || paths.length === 0}
            title={known ? AREA_TITLE : NOT_YET}
          >
            Within a path
          </MenuButton>
          <MenuItems anchor="bottom start" className="menu max-h-80 [--anchor-gap:4px]">
            {paths.map((p) => (
              <MenuItem key={p.id}>
                <button type="button" className="menu-item" onClick={() => markArea(footage, p.id)}>
                  {p.name}
                </button>
              </MenuItem>
            ))}
          </MenuItems>
        </Menu>
      </div>
      {pins.map((p) => (
        <PinCard key={p.id} footage={footage} pin={p} />
      ))}
    </Fold>
  );
}

function PinCard({ footage, pin }: { footage: Footage; pin: FootagePin }) {
  const open = usePins((s) => s.open === pin.id);
  const running = usePins((s) => (s.running?.pin === pin.id ? s.running : null));
  const known = useFramesKnown(footage.image);
  const put = (parts: { name?: string; smoothing?: number }, merge: string) =>
    applyEdit({ op: 'changePin', item: footage.id, pin: pin.id, ...parts }, merge + pin.id);
  return (
    <div className="mb-2 rounded-lg border border-rule p-2" data-testid="pin-card">
      <div className="flex items-center gap-1.5">
        <button
          type="button"
          aria-pressed={open}
          className={`btn size-7 shrink-0 p-0 ${open ? 'bg-ink text-sheet' : ''}`}
          title={open ? 'Put its marks away' : 'Show its marks on the stage'}
          aria-label={`Marks of ${pin.name} on the stage`}
          onClick={() => openPin(open ? null : pin.id)}
        >
          <Crosshair className="size-4" />
        </button>
        <input
          className="field min-w-0 flex-1"
          aria-label="Name of the pin"
          value={pin.name}
          onChange={(e) => put({ name: e.target.value }, 'name')}
        />
        <button
          type="button"
          className="btn size-7 shrink-0 p-0"
          aria-label={`Take ${pin.name} away`}
          title="Take it away; what holds to it stands as it does by itself"
          onClick={() => applyEdit({ op: 'removePin', item: footage.id, pin: pin.id })}
        >
          <Trash2 className="size-4" />
        </button>
      </div>
      {open && (
        <div className="mt-2">
          {pin.frames.length === 1 && !running && (
            <p className="mb-2 text-[12px] leading-snug text-soft">{HOW[pin.by]}</p>
          )}
          <PinStrip footage={footage} pin={pin} coming={running?.frames} />
          {running ? (
            <div role="status" className="mb-2 flex items-center gap-2 text-[12px]">
              <span className="flex-1">
                Following: {running.frames.length} of {running.of} frames
              </span>
              <button type="button" className="btn" onClick={stopFollowing}>
                Stop
              </button>
            </div>
          ) : (
            <div className="mb-2 flex gap-1.5">
              <button
                type="button"
                className="btn flex-1"
                disabled={!known}
                title={known ? 'On and back from the frame at the playhead' : NOT_YET}
                onClick={() => void follow(footage.id, pin.id)}
              >
                Follow from here
              </button>
              <NextDoubt footage={footage} pin={pin} />
            </div>
          )}
          <Ended footage={footage} pin={pin} />
          {pin.frames.length > 1 && (
            <TimeField
              label="Smoothing"
              step={0.05}
              value={pin.smoothing ?? 0}
              onChange={(smoothing) => put({ smoothing }, 'smoothing')}
            />
          )}
        </div>
      )}
    </div>
  );
}

/** To the next frame that is worth a look, after the one that was looked at. */
function NextDoubt({ footage, pin }: { footage: Footage; pin: FootagePin }) {
  const doubts = pin.frames.filter((f, i) => isDoubt(f) && !(i > 0 && isDoubt(pin.frames[i - 1]!)));
  if (doubts.length === 0) return null;
  return (
    <button
      type="button"
      className="btn"
      title="To the next frame in which it is bridged or not quite sure. Drag the mark there to correct it"
      onClick={() => {
        const at = usePins.getState().looked;
        const next = doubts.find((f) => f.time > at + 1e-4) ?? doubts[0]!;
        usePins.setState({ looked: next.time });
        goTo(footage, next.time);
      }}
    >
      Doubts ({doubts.length})
    </button>
  );
}

const isDoubt = (f: FootagePin['frames'][number]) =>
  f.how !== 'set' && (f.how === 'bridged' || (f.sure ?? 100) < DOUBT);

function Ended({ footage, pin }: { footage: Footage; pin: FootagePin }) {
  const words = useTimeWords();
  const ended = usePins((s) => (s.ended?.pin === pin.id ? s.ended : null));
  if (!ended) return null;
  const [mark, it] = pin.by === 'spot' ? ['the mark', 'it is'] : ['the marks', 'they are'];
  return (
    <div role="alert" className="my-2 text-[12px] leading-snug text-ochre">
      {ended.why === 'flat' ? (
        <p>
          All is alike round {mark} here, so there is nothing to hold on to. Drag {mark} onto a
          corner or an edge, and follow again.
        </p>
      ) : (
        <>
          <p className="mb-1.5">
            Not sure where {it} beyond {words(ended.moment)} of the footage. Go on to a frame where
            you see it, and drag {mark} there: it follows on from that.
          </p>
          <button type="button" className="btn w-full" onClick={() => goTo(footage, ended.moment)}>
            Go to where it was sure last
          </button>
        </>
      )}
    </div>
  );
}
