import type { Item } from '../../core/document';
import { applyEdit, useEditor } from '../../state/editor';
import { chosenWith } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { MovableField } from '../../ui/MovableField';
import { MODES } from './effectWords';

const WHOLE = '';

/** How an item meets what is beneath it: blend mode and clip. */
export function MeetsSection({ item }: { item: Item }) {
  const paths = useEditor((s) => s.doc?.paths) ?? [];
  const { clip } = item;
  const items = () => chosenWith(item.id);
  return (
    <section className="section">
      <h2 className="section-title">Blend and clip</h2>
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
        </>
      )}
    </section>
  );
}
