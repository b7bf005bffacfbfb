import { useState } from 'react';
import type { DrawingItem } from '../../core/document';
import { OF_PLACED } from '../../state/channels';
import { applyEdit } from '../../state/editor';
import { ColourField } from '../../ui/ColourField';
import { MovableField } from '../../ui/MovableField';
import { CentreFields } from '../CentreFields';

/** Colours are listed up to so many; a drawing of more is rather a picture. */
const MOST_COLOURS = 12;

/** Where a drawing stands, and its colours: each is changed wherever the drawing has it. */
export function DrawingSection({ drawing }: { drawing: DrawingItem }) {
  // As they were when it was chosen: two that are made alike can still be told apart.
  const [groups] = useState(() => byColour(drawing));
  return (
    <section className="section">
      <h2 className="section-title">{drawing.name}</h2>
      {OF_PLACED.map((c) => (
        <MovableField key={c} item={drawing.id} channel={c} />
      ))}
      <CentreFields item={drawing.id} centre={drawing.centre ?? [0, 0]} />
      <h3 className="mt-3 mb-1 font-medium">Colours</h3>
      {groups.slice(0, MOST_COLOURS).map((indexes, i) => (
        <ColourField
          key={i}
          label={`Colour ${i + 1}`}
          value={drawing.parts[indexes[0]!]?.fill ?? '#000000'}
          onChange={(colour) =>
            applyEdit(
              { op: 'recolour', item: drawing.id, indexes, colour },
              `${drawing.id}.colour${i}`,
            )
          }
        />
      ))}
    </section>
  );
}

/** The indexes of the parts of each colour. */
function byColour(drawing: DrawingItem): number[][] {
  const groups = new Map<string, number[]>();
  drawing.parts.forEach((p, i) => groups.set(p.fill, [...(groups.get(p.fill) ?? []), i]));
  return [...groups.values()];
}
