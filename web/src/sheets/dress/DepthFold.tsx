import type { Channel, Item, PlaneView, SceneDoc } from '../../core/document';
import { applyEdit, useEditor } from '../../state/editor';
import { groupRound, isLocked, letteringOf, nameOf } from '../../state/items';
import { chosenWith } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { MovableColour } from '../../ui/MovableColour';
import { MovableField } from '../../ui/MovableField';

const NONE = '';

/** The ready views, each with a small picture of words on a ring or a ground. */
const VIEWS: { view: PlaneView; label: string; title: string; picture: string }[] = [
  {
    view: 'carousel',
    label: 'Carousel',
    title: 'Words stand up on a level ring, read from outside',
    picture: 'M4 16V9M9 20V12M16 22V13M23 22V13M30 20V12M35 16V9M4 16Q5 24 20 24T36 16',
  },
  {
    view: 'halo',
    label: 'Halo',
    title: 'Words lie on a ring that floats level',
    picture:
      'M3 14C3 9 11 6 20 6S37 9 37 14 29 23 20 23 3 20 3 14ZM9 14C9 11 14 10 20 10S31 11 31 14 26 18 20 18 9 17 9 14Z',
  },
  {
    view: 'hoop',
    label: 'Hoop',
    title: 'Words stand on a ring that is stood up, read from outside',
    picture:
      'M15 3C10 3 7 8 7 14S10 26 15 26M15 3L24 5M15 26L24 24M10 6L19 8M7 14H17M10 23L19 21M24 5C21 5 17 9 17 14S21 24 24 24',
  },
  {
    view: 'ramp',
    label: 'Ramp',
    title: 'Words lie on a ground that goes away from you',
    picture: 'M13 7H27L37 24H3ZM11 11H29M8.5 15H31.5M6 19H34',
  },
  {
    view: 'tunnel',
    label: 'Tunnel',
    title: 'Words stand on the inside of a tube that you look into',
    picture:
      'M20 2A12 12 0 1 1 19.9 2ZM20 9A5 5 0 1 1 19.9 9ZM20 2V9M20 19V26M8 14H15M25 14H32M11.5 5.5L16.5 10.5M28.5 5.5L23.5 10.5M11.5 22.5L16.5 17.5M28.5 22.5L23.5 17.5',
  },
  {
    view: 'flag',
    label: 'Flag',
    title: 'Words hang on a wall that goes away to the right',
    picture: 'M6 3V26M6 4L34 9V20L6 25M14 5.5V23.5M22 7V22M29 8.2V20.8',
  },
];

type Parts = {
  on?: boolean;
  view?: PlaneView;
  stance?: 'flat' | 'standing' | 'facing';
  parallel?: boolean;
  backs?: 'shown' | 'coloured' | 'hidden';
  goesBehind?: string | null;
};

/** How an item of any kind is turned in space, and how its letters stand there. */
export function DepthFold({ item }: { item: Item }) {
  const doc = useEditor((s) => s.doc);
  const { plane } = item;
  if (!doc) return null;
  const put = (parts: Parts) => {
    const { doc: now, time } = useEditor.getState();
    const items = chosenWith(item.id).filter((i) => !isLocked(now, i));
    applyEdit({ op: 'plane', items, time, ...parts });
  };
  const words = letteringOf(doc, item.id) !== undefined;
  const lean: Channel[] = plane?.stance === 'standing' ? ['lean'] : [];
  return (
    <Fold
      title="Tilt and depth"
      aside={plane ? STANCES[plane.stance ?? 'flat'] : 'off'}
      open={plane !== undefined}
    >
      <div className="mb-2 grid grid-cols-3 gap-1.5" role="group" aria-label="Ready views">
        {VIEWS.map(({ view, label, title, picture }) => (
          <button
            key={view}
            type="button"
            className="flex flex-col items-center gap-0.5 rounded-lg border border-rule bg-sheet px-1 pt-1.5 pb-1 text-[12px] hover:border-teal"
            title={title}
            onClick={() => put({ view })}
          >
            <svg viewBox="0 0 40 28" className="h-7 w-10" aria-hidden>
              <path
                d={picture}
                fill="none"
                className="stroke-teal"
                strokeWidth="1.6"
                strokeLinejoin="round"
                strokeLinecap="round"
              />
            </svg>
            {label}
          </button>
        ))}
      </div>
      {!plane && (
        <>
          <button type="button" className="btn w-full" onClick={() => put({})}>
            Turn it by hand
          </button>
          <p className="mt-1.5 text-[12px] leading-snug text-soft">
            Begin with a view, then drag the ball on the stage. Path, margins and motion stay as
            they are: the plane they lie in is turned.
          </p>
        </>
      )}
      {plane && (
        <>
          {words && (
            <Choice
              label="Letters"
              value={plane.stance ?? 'flat'}
              options={[
                { value: 'flat', label: 'Lie flat' },
                { value: 'standing', label: 'Stand up', detail: 'As on a band round a drum' },
                { value: 'facing', label: 'Face the viewer', detail: 'Smaller where they are far' },
              ]}
              onChange={(stance) => put({ stance })}
            />
          )}
          <MovableField item={item.id} channel="tilt" />
          <MovableField item={item.id} channel="swing" />
          {lean.map((c) => (
            <MovableField key={c} item={item.id} channel={c} />
          ))}
          {plane.parallel !== true && (
            <MovableField item={item.id} channel="viewingDistance" step={10} />
          )}
          <Check
            label="No perspective"
            detail="Far things are as large as near ones"
            value={plane.parallel === true}
            onChange={(parallel) => put({ parallel })}
          />
          <MovableField item={item.id} channel="planeX" label="Plane centre x" />
          <MovableField item={item.id} channel="planeY" label="Plane centre y" />
          {words && <Words item={item} doc={doc} put={put} />}
          <button type="button" className="btn mt-1 w-full" onClick={() => put({ on: false })}>
            Lay it flat again
          </button>
        </>
      )}
    </Fold>
  );
}

const STANCES = { flat: 'lies flat', standing: 'stands up', facing: 'faces you' };

/** What only letters have: their backs, which way they look, and what they go behind. */
function Words({ item, doc, put }: { item: Item; doc: SceneDoc; put: (parts: Parts) => void }) {
  const { plane } = item;
  const seat = letteringOf(doc, item.id)?.seat;
  const standing = plane?.stance === 'standing';
  const beside = groupRound(doc, item.id)?.members ?? doc.stack;
  const others = beside.filter((id) => id !== item.id);
  return (
    <>
      {standing && seat && (
        <button
          type="button"
          className="btn mb-1.5 w-full"
          title="On a ring: from outside or from inside"
          onClick={() =>
            applyEdit({
              op: 'side',
              item: item.id,
              side: seat.side === 'right' ? 'left' : 'right',
              time: useEditor.getState().time,
            })
          }
        >
          Read from the other side
        </button>
      )}
      <Choice
        label="From behind"
        value={plane?.backs ?? 'shown'}
        options={[
          { value: 'shown', label: 'As they are' },
          { value: 'coloured', label: 'In another colour' },
          { value: 'hidden', label: 'Not seen' },
        ]}
        onChange={(backs) => put({ backs })}
      />
      {plane?.backs === 'coloured' && <MovableColour item={item.id} channel="backColour" />}
      <Choice
        label="Goes behind"
        value={plane?.goesBehind ?? NONE}
        options={[
          { value: NONE, label: 'Nothing' },
          ...others.map((id) => ({ value: id, label: nameOf(doc, id) })),
        ]}
        onChange={(id) => put({ goesBehind: id || null })}
      />
    </>
  );
}
