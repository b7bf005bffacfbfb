import { useEffect } from 'react';
import type { Lettering } from '../../core/document';
import { useNewWords } from '../../state/newWords';
import { useShared } from '../../state/shared';
import { changeChosen } from '../../state/values';
import { useFaces } from '../../state/faces';
import { Choice, Segments } from '../../ui/Choice';
import { Fold } from '../../ui/Fold';
import { MovableColour } from '../../ui/MovableColour';
import { MovableField } from '../../ui/MovableField';
import { FacePicker } from './FacePicker';
import { FeatureList } from './FeatureList';
import { PhraseFields } from './PhraseFields';
import { RowFields } from './RowFields';
import { RuleList } from './RuleList';
import { TextBox } from './TextBox';

/** New words are written over at once: their box has the keys as soon as it is there. */
function useWritingAtOnce(id: string): void {
  const isNew = useNewWords((s) => s.id === id);
  useEffect(() => {
    if (!isNew) return;
    const box = document.querySelector<HTMLTextAreaElement>('#words-text');
    box?.focus();
    box?.select();
    useNewWords.setState({ id: null });
  }, [isNew]);
}

/** The text, its typeface and setting, its colours, and the rows it makes. */
export function WordsSheet({ lettering }: { lettering: Lettering }) {
  const faces = useFaces();
  const face = faces.find((f) => f.id === lettering.face);
  const shared = useShared(lettering);
  const id = lettering.id;
  const several = lettering.text.includes('\n');
  const rules = lettering.rules?.length ?? 0;
  const rows = lettering.rows?.count ?? 1;
  useWritingAtOnce(id);
  return (
    <>
      <section className="section">
        <label className="section-title block" htmlFor="words-text">
          Text
        </label>
        <TextBox lettering={lettering} id="words-text" className="min-h-18 resize-y" />
      </section>
      <Fold
        key={several ? 'several' : 'one'}
        title="Phrases"
        aside={several ? `${lettering.text.split('\n').filter((l) => l.trim()).length}` : ''}
        open={several || lettering.phrases !== undefined}
      >
        <PhraseFields lettering={lettering} />
      </Fold>
      <section className="section">
        <h2 className="section-title">Typeface</h2>
        <FacePicker lettering={lettering} />
        {face && face.instances.length > 0 && (
          <Choice
            label="Style"
            value=""
            options={[
              { value: '', label: 'named styles' },
              ...face.instances.map((i, k) => ({ value: String(k), label: i.name })),
            ]}
            onChange={(k) => {
              const chosen = face.instances[Number(k)];
              if (k && chosen) changeChosen(id, { axes: chosen.axes });
            }}
          />
        )}
        {face?.axes.map((a) => (
          <MovableField
            key={a.tag}
            item={id}
            channel={`axis-${a.tag}`}
            label={a.name}
            missing={a.start}
            decimals={a.greatest <= 1 ? 2 : 0}
            step={a.greatest <= 1 ? 0.1 : a.greatest > 200 ? 10 : 1}
            range={[a.least, a.greatest]}
          />
        ))}
        <MovableField item={id} channel="size" />
        <MovableField item={id} channel="tracking" />
        <MovableField item={id} channel="wordSpacing" step={0.05} />
        <Segments
          label="Case"
          value={shared((l) => l.casing ?? 'as-typed')}
          options={[
            { value: 'as-typed', label: 'As is', detail: 'As typed' },
            { value: 'upper', label: 'ALL', detail: 'All capitals' },
            { value: 'lower', label: 'all', detail: 'All small letters' },
            { value: 'title', label: 'First', detail: 'Every word with a capital' },
          ]}
          onChange={(casing) => changeChosen(id, { casing })}
        />
      </section>
      {face && face.features.length > 0 && (
        <Fold
          title="Features of the typeface"
          aside={Object.keys(lettering.features ?? {}).length || ''}
        >
          <FeatureList lettering={lettering} features={face.features} />
        </Fold>
      )}
      <section className="section">
        <h2 className="section-title">Colour</h2>
        {(lettering.filling ?? 'plain') === 'plain' ? (
          <MovableColour item={id} channel="fill" label="Fill" />
        ) : (
          <p className="text-soft">Dress says what these letters are filled with.</p>
        )}
        {typeof lettering.fill !== 'string' && (
          <Segments
            label="Mixed in"
            value={shared((l) => l.mix ?? 'oklch')}
            options={[
              { value: 'oklch', label: 'OKLCH', detail: 'Even steps to the eye' },
              { value: 'srgb', label: 'sRGB', detail: 'As screens mix light' },
            ]}
            onChange={(mix) => changeChosen(id, { mix })}
          />
        )}
      </section>
      <Fold title="Some words differ" aside={rules || ''} open={rules > 0}>
        <RuleList lettering={lettering} face={face} />
      </Fold>
      <Fold title="Several rows" aside={rows > 1 ? rows : ''} open={rows > 1}>
        <RowFields lettering={lettering} />
      </Fold>
    </>
  );
}
