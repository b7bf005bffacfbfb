import type { Lettering } from '../../core/document';
import { gradientOf } from '../../state/channels';
import { applyEdit } from '../../state/editor';
import { changeItem } from '../../state/values';
import { Choice } from '../../ui/Choice';
import { MovableColour } from '../../ui/MovableColour';
import { MovableField } from '../../ui/MovableField';
import { Stops } from './Stops';

/** What letters are filled with. */
export function LetteringSection({ lettering }: { lettering: Lettering }) {
  const { id, filling = 'plain', across = 'letter', stops = [] } = lettering;
  const graded = filling === 'linear' || filling === 'radial';
  return (
    <section className="section">
      <h2 className="section-title">Lettering</h2>
      <Choice
        label="Filled"
        value={filling}
        options={[
          { value: 'plain', label: 'One colour' },
          { value: 'linear', label: 'Linear gradient' },
          { value: 'radial', label: 'Radial gradient' },
          { value: 'none', label: 'Nothing' },
        ]}
        onChange={(next) => applyEdit({ op: 'fillLetters', item: id, filling: next })}
      />
      {filling === 'plain' && <MovableColour item={id} channel="fill" label="Fill" />}
      {graded && (
        <>
          <Choice
            label="Across"
            value={across}
            options={[
              { value: 'letter', label: 'Each letter' },
              { value: 'run', label: 'The whole text' },
              { value: 'path', label: 'The path', detail: 'Letters change as they travel' },
              { value: 'frame', label: 'The frame', detail: 'Letters change as they travel' },
            ]}
            onChange={(next) => applyEdit({ op: 'fillLetters', item: id, across: next })}
          />
          {gradientOf(lettering).map((c) => (
            <MovableField key={c} item={id} channel={c} />
          ))}
          <Stops
            stops={stops}
            onChange={(next, merge) => changeItem(id, { stops: next }, `${id}.${merge}`)}
          />
        </>
      )}
      <MovableField item={id} channel="opacity" />
    </section>
  );
}
