import type { Item } from '../../core/document';
import { applyEdit, useEditor } from '../../state/editor';
import { isLocked, letteringOf } from '../../state/items';
import { chosenWith } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { MovableColour } from '../../ui/MovableColour';
import { MovableField } from '../../ui/MovableField';

type Shape = 'drum' | 'ball' | 'disc';

/** What is within the ring that words stand on, and the strip behind them. */
export function CoreFold({ item }: { item: Item }) {
  const words = useEditor((s) => letteringOf(s.doc, item.id) !== undefined);
  if (!words || !item.plane) return null;
  const { core, band, body } = item.plane;
  const put = (parts: { core?: boolean; shape?: Shape; band?: boolean }) => {
    const { doc: now, time } = useEditor.getState();
    const items = chosenWith(item.id).filter((i) => !isLocked(now, i));
    applyEdit({ op: 'plane', items, time, ...parts });
  };
  const shape = core ? (core.shape ?? 'drum') : 'none';
  const there = [core && (core.shape ?? 'drum'), band && 'band'].filter(Boolean);
  return (
    <Fold
      title="Core and band"
      aside={there.length > 0 ? there.join(', ') : 'off'}
      open={there.length > 0}
    >
      <Choice
        label="Inside the ring"
        value={shape}
        options={[
          { value: 'none', label: 'Nothing' },
          { value: 'drum', label: 'A drum', detail: 'Round and upright, like a mast or a tin' },
          { value: 'ball', label: 'A ball' },
          { value: 'disc', label: 'A disc', detail: 'Flat, like a plate' },
        ]}
        onChange={(to) => put(to === 'none' ? { core: false } : { core: true, shape: to })}
      />
      {core && (
        <>
          <MovableField item={item.id} channel="coreRadius" label="Core radius" />
          {shape === 'drum' && (
            <MovableField item={item.id} channel="coreHeight" label="Core height" />
          )}
          <MovableField item={item.id} channel="coreLift" label="Core lift" />
          <MovableColour item={item.id} channel="coreColour" label="Core colour" />
        </>
      )}
      <Check
        label="Band behind the letters"
        detail="Along all of their path"
        value={band !== undefined}
        onChange={(on) => put({ band: on })}
      />
      {band && (
        <>
          <MovableField item={item.id} channel="bandHeight" label="Band height" />
          <MovableField item={item.id} channel="bandLift" label="Band lift" />
          <MovableField item={item.id} channel="bandGap" />
          <MovableColour item={item.id} channel="bandColour" label="Band colour" />
        </>
      )}
      {there.length > 0 && !body && (
        <p className="mt-1.5 text-[12px] leading-snug text-soft">
          Light comes from the upper left. To set it, make the letters thick: a thickness of 0
          leaves them as they are, in the same light.
        </p>
      )}
    </Fold>
  );
}
