import { useState } from 'react';
import type { SeriesField } from '../../api/client';
import { Choice } from '../../ui/Choice';

const MORE = 'more';

interface Props {
  heading: string;
  field: string;
  fields: SeriesField[];
  onChange: (field: string) => void;
}

/** What a column is for: the few that are mostly varied, and all others when they are asked for. */
export function ColumnField({ heading, field, fields, onChange }: Props) {
  const [all, setAll] = useState(false);
  const shown = fields.filter((f) => all || f.main || f.path === field);
  return (
    <Choice
      bare
      label={`${heading} is for`}
      value={field}
      options={[
        { value: '', label: 'not used' },
        { value: 'file.name', label: 'The name of the file' },
        ...shown.map((f) => ({ value: f.path, label: `${f.item}: ${f.label}` })),
        ...(all ? [] : [{ value: MORE, label: 'More …' }]),
      ]}
      onChange={(value) => (value === MORE ? setAll(true) : onChange(value))}
    />
  );
}
