import type { Item } from '../../core/document';
import { applyEdit, useEditor } from '../../state/editor';
import { isLocked, letteringOf } from '../../state/items';
import { chosenWith } from '../../state/values';
import { Choice } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { MovableColour } from '../../ui/MovableColour';
import { MovableField } from '../../ui/MovableField';
import { LightBall } from './LightBall';

type Parts = {
  thick?: boolean;
  profile?: 'straight' | 'round';
  sides?: 'same' | 'coloured';
};

/** How thick letters are, what their edges and sides look like, and the light on them. */
export function ThicknessFold({ item }: { item: Item }) {
  const words = useEditor((s) => letteringOf(s.doc, item.id) !== undefined);
  if (!words) return null;
  const body = item.plane?.body;
  const put = (parts: Parts) => {
    const { doc: now, time } = useEditor.getState();
    const items = chosenWith(item.id).filter((i) => !isLocked(now, i));
    applyEdit({ op: 'plane', items, time, ...parts });
  };
  return (
    <Fold title="Thickness and light" aside={body ? 'on' : 'off'} open={body !== undefined}>
      {!body && (
        <>
          <button type="button" className="btn w-full" onClick={() => put({ thick: true })}>
            Make the letters thick
          </button>
          <p className="mt-1.5 text-[12px] leading-snug text-soft">
            Fronts stay where they are, and sides reach back from them. You see them as soon as the
            words are tilted.
          </p>
        </>
      )}
      {body && (
        <>
          <MovableField item={item.id} channel="thickness" />
          <MovableField item={item.id} channel="bevel" step={0.5} />
          <Choice
            label="Bevel form"
            value={body.profile ?? 'straight'}
            options={[
              { value: 'straight', label: 'Straight', detail: 'One slope' },
              { value: 'round', label: 'Round' },
            ]}
            onChange={(profile) => put({ profile })}
          />
          <Choice
            label="Sides"
            value={body.sides ?? 'same'}
            options={[
              { value: 'same', label: 'Like the letters' },
              { value: 'coloured', label: 'Another colour' },
            ]}
            onChange={(sides) => put({ sides })}
          />
          {body.sides === 'coloured' && <MovableColour item={item.id} channel="sideColour" />}
          <LightBall item={item.id} />
          <MovableField item={item.id} channel="lightFrom" />
          <MovableField item={item.id} channel="lightHeight" />
          <MovableField item={item.id} channel="ambient" />
          <MovableField item={item.id} channel="warmth" />
          <MovableField item={item.id} channel="edgeLight" />
          <button type="button" className="btn mt-1 w-full" onClick={() => put({ thick: false })}>
            Make them thin again
          </button>
        </>
      )}
    </Fold>
  );
}
