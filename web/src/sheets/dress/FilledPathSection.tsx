import type { FilledPath } from '../../core/document';
import { channelsOfFilledPath } from '../../state/channels';
import { useEditor } from '../../state/editor';
import { changeItem } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { MovableValue } from '../../ui/MovableValue';

/** Which path a shape has, and how it is filled and drawn. */
export function FilledPathSection({ item }: { item: FilledPath }) {
  const paths = useEditor((s) => s.doc?.paths) ?? [];
  const closed = useEditor((s) => s.summary?.paths[item.path]?.closed ?? true);
  return (
    <section className="section">
      <h2 className="section-title">{item.name}</h2>
      <Choice
        label="Path"
        value={item.path}
        options={paths.map((p) => ({ value: p.id, label: p.name }))}
        onChange={(path) => changeItem(item.id, { path })}
      />
      <Check
        label="Filled"
        value={item.filled}
        onChange={(filled) => changeItem(item.id, { filled })}
      />
      {channelsOfFilledPath(item).map((c) => (
        <MovableValue key={c} item={item.id} channel={c} />
      ))}
      {!closed && (
        <Choice
          label="Line ends"
          value={item.cap}
          options={[
            { value: 'round', label: 'Round' },
            { value: 'butt', label: 'Flat' },
            { value: 'square', label: 'Square' },
          ]}
          onChange={(cap) => changeItem(item.id, { cap })}
        />
      )}
    </section>
  );
}
