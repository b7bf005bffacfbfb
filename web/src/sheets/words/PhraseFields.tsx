import { useState } from 'react';
import { plainPhrases } from '../../core/document';
import type { Lettering } from '../../core/document';
import { changePart } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';

const MARKS = ['', '•', '★', '–', '/', '~'];

/** What stands between the phrases, and how often they are set. */
export function PhraseFields({ lettering }: { lettering: Lettering }) {
  const phrases = lettering.phrases ?? plainPhrases;
  const own = !MARKS.includes(phrases.separator);
  const [typing, setTyping] = useState(own);
  const put = (parts: Partial<typeof plainPhrases>) =>
    changePart(lettering.id, 'phrases', parts, `phrases.${lettering.id}`);
  return (
    <>
      <p className="mb-2 text-[12px] text-soft">
        Every line of the text is a phrase; they are set one after another.
      </p>
      <Choice
        label="Separator"
        value={typing || own ? 'own' : phrases.separator || 'none'}
        options={[
          { value: 'none', label: 'None' },
          { value: '•', label: 'Bullet •' },
          { value: '★', label: 'Star ★' },
          { value: '–', label: 'Dash –' },
          { value: '/', label: 'Stroke /' },
          { value: '~', label: 'Wave ~' },
          { value: 'own', label: 'Own text' },
        ]}
        onChange={(v) => {
          setTyping(v === 'own');
          if (v !== 'own') put({ separator: v === 'none' ? '' : v });
        }}
      />
      {(typing || own) && (
        <div className="mb-1.5 flex items-center gap-2">
          <label htmlFor="separator" className="w-23 shrink-0 text-soft">
            Own text
          </label>
          <input
            id="separator"
            className="field"
            maxLength={100}
            value={phrases.separator}
            onChange={(e) => put({ separator: e.target.value })}
          />
        </div>
      )}
      <NumberField
        label="Space round it"
        unit="em"
        decimals={2}
        step={0.05}
        value={phrases.space}
        onChange={(space) => put({ space })}
      />
      <Check
        label="As often as the room holds"
        value={phrases.times === 0}
        onChange={(often) => put({ times: often ? 0 : 1 })}
      />
      {phrases.times > 0 && (
        <NumberField
          label="Times"
          decimals={0}
          value={phrases.times}
          onChange={(times) => put({ times: Math.max(1, Math.round(times)) })}
        />
      )}
    </>
  );
}
