import type { Item, SceneDoc } from '../../core/document';
import { applyEdit, useEditor } from '../../state/editor';
import { groupRound, nameOf } from '../../state/items';
import { changeItem, chosenWith } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { MovableField } from '../../ui/MovableField';
import { PathPinnedTo } from '../PinnedTo';
import { MODES } from './effectWords';

const WHOLE = '';

/** How an item meets what is beneath it: blend mode, clip and matte. */
export function MeetsSection({ item }: { item: Item }) {
  const paths = useEditor((s) => s.doc?.paths) ?? [];
  const { clip } = item;
  const items = () => chosenWith(item.id);
  return (
    <section className="section">
      <h2 className="section-title">Blend, clip, matte</h2>
      <Choice
        label="Blend mode"
        value={item.blendMode ?? 'normal'}
        options={MODES}
        onChange={(mode) => applyEdit({ op: 'blend', items: items(), mode })}
      />
      <Choice
        label="Clip to path"
        value={clip?.path ?? WHOLE}
        options={[
          { value: WHOLE, label: 'Not clipped' },
          ...paths.map((p) => ({ value: p.id, label: p.name })),
        ]}
        onChange={(path) => applyEdit({ op: 'clip', items: items(), path: path || null })}
      />
      {clip && (
        <>
          <Check
            label="Inverted: show what lies outside"
            value={clip.inverted === true}
            onChange={(inverted) => applyEdit({ op: 'clip', items: items(), inverted })}
          />
          <MovableField item={item.id} channel="softEdge" />
          <PathPinnedTo path={paths.find((p) => p.id === clip.path)} />
        </>
      )}
      <MatteFields item={item} />
    </section>
  );
}

/** Which other item tells how much of this one is seen. */
function MatteFields({ item }: { item: Item }) {
  const doc = useEditor((s) => s.doc);
  const { matte } = item;
  const put = (parts: { matte?: string | null; by?: 'alpha' | 'luminance'; inverted?: boolean }) =>
    applyEdit({ op: 'matte', items: chosenWith(item.id), ...parts });
  const others = (doc?.items ?? []).filter((i) => i.id !== item.id && !isRound(doc, i.id, item.id));
  const other = doc?.items.find((i) => i.id === matte?.item);
  return (
    <>
      <Choice
        label="Seen through"
        value={matte?.item ?? WHOLE}
        options={[
          { value: WHOLE, label: 'No other item' },
          ...others.map((i) => ({ value: i.id, label: doc ? nameOf(doc, i.id) : i.id })),
        ]}
        onChange={(id) => put({ matte: id || null })}
      />
      {matte && (
        <>
          <Choice
            label="By its"
            value={matte.by ?? 'alpha'}
            options={[
              { value: 'alpha', label: 'Shape', detail: 'Seen where it is opaque' },
              { value: 'luminance', label: 'Light', detail: 'Seen where it is bright' },
            ]}
            onChange={(by) => put({ by })}
          />
          <Check
            label="Inverted: show what it leaves"
            value={matte.inverted === true}
            onChange={(inverted) => put({ inverted })}
          />
          {other && (
            <Check
              label="Hide what it is seen through"
              detail="It still tells how much is seen"
              value={other.hidden}
              onChange={(hidden) => changeItem(other.id, { hidden })}
            />
          )}
        </>
      )}
    </>
  );
}

/** Whether an item is a group that another one stands in. */
function isRound(doc: SceneDoc | null, group: string, item: string): boolean {
  const round = groupRound(doc, item);
  return round !== undefined && (round.id === group || isRound(doc, group, round.id));
}
