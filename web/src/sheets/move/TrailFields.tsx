import { plainTrail } from '../../core/document';
import type { Lettering, Trail } from '../../core/document';
import { changeChosen } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice, Segments } from '../../ui/Choice';
import { ColourField } from '../../ui/ColourField';
import { MovableField } from '../../ui/MovableField';
import { NumberField } from '../../ui/NumberField';

/** A line that is asked for is to be seen beside the letters. */
const BEGUN: Trail = { ...plainTrail, colour: '#C4472D', width: 6 };

const DASHES: Record<string, number[]> = { whole: [], dashes: [3, 2], dots: [0.01, 2] };

/** The path's own line, drawn under the lettering. */
export function TrailFields({ lettering }: { lettering: Lettering }) {
  const trail = lettering.trail;
  const put = (parts: Partial<Trail>) =>
    changeChosen(
      lettering.id,
      { trail: { ...BEGUN, ...trail, ...parts } },
      `trail.${lettering.id}`,
    );
  const dash = !trail?.dash.length ? 'whole' : trail.dash[0]! < trail.width ? 'dots' : 'dashes';
  return (
    <>
      <Check
        label="Draw the path's line"
        value={trail !== undefined}
        onChange={(on) => (on ? put({}) : changeChosen(lettering.id, { trail: undefined }))}
      />
      {trail && (
        <>
          <ColourField label="Colour" value={trail.colour} onChange={(colour) => put({ colour })} />
          <NumberField
            label="Width"
            unit="px"
            value={trail.width}
            onChange={(width) => put({ width, dash: DASHES[dash]!.map((d) => d * width) })}
          />
          <Choice
            label="Line"
            value={dash}
            options={[
              { value: 'whole', label: 'Whole' },
              { value: 'dashes', label: 'Dashes' },
              { value: 'dots', label: 'Dots' },
            ]}
            onChange={(d) =>
              put({
                dash: DASHES[d]!.map((v) => v * trail.width),
                cap: d === 'dots' ? 'round' : trail.cap,
              })
            }
          />
          <Segments
            label="Ends"
            value={trail.cap}
            options={[
              { value: 'butt', label: 'Flat' },
              { value: 'round', label: 'Round' },
              { value: 'square', label: 'Square' },
            ]}
            onChange={(cap) => put({ cap })}
          />
          <Check
            label="Goes with the lettering"
            value={trail.with}
            onChange={(on) => put({ with: on })}
          />
          {trail.with ? (
            <>
              <NumberField
                label="Ahead"
                unit="px"
                value={trail.lead}
                onChange={(lead) => put({ lead })}
              />
              <NumberField
                label="Behind"
                unit="px"
                value={trail.lag}
                onChange={(lag) => put({ lag })}
              />
            </>
          ) : (
            <>
              <MovableField item={lettering.id} channel="trailFrom" />
              <MovableField item={lettering.id} channel="trailTo" />
            </>
          )}
        </>
      )}
    </>
  );
}
