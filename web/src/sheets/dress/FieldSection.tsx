import type { ColourField as Field } from '../../core/document';
import { channelsOfField } from '../../state/channels';
import { applyEdit } from '../../state/editor';
import { changeItem } from '../../state/values';
import { Segments } from '../../ui/Choice';
import { MovableValue } from '../../ui/MovableValue';
import { CentreFields } from '../CentreFields';
import { Stops } from './Stops';

/** What a colour field covers and how it is filled. */
export function FieldSection({ field }: { field: Field }) {
  const put = (parts: Partial<Field>, merge = '') => changeItem(field.id, parts, merge);
  return (
    <section className="section">
      <h2 className="section-title">{field.name}</h2>
      <Segments
        label="Covers"
        value={field.area}
        options={[
          { value: 'frame', label: 'Frame', detail: 'All of the frame, whatever its size' },
          {
            value: 'rectangle',
            label: 'Rectangle',
            detail: 'A part that can be placed and turned',
          },
        ]}
        onChange={(area) => put({ area })}
      />
      <Segments
        label="Filled"
        value={field.filling}
        options={[
          { value: 'plain', label: 'Plain' },
          { value: 'linear', label: 'Linear' },
          { value: 'radial', label: 'Radial' },
        ]}
        onChange={(filling) => applyEdit({ op: 'filling', item: field.id, filling })}
      />
      {channelsOfField(field).map((c) => (
        <MovableValue key={c} item={field.id} channel={c} />
      ))}
      {field.area === 'rectangle' && (
        <CentreFields item={field.id} centre={field.centre ?? [0, 0]} />
      )}
      {field.filling !== 'plain' && (
        <Stops
          stops={field.stops ?? []}
          onChange={(stops, merge) => put({ stops }, `${field.id}.${merge}`)}
        />
      )}
    </section>
  );
}
