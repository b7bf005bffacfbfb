import { Plus, Trash2 } from 'lucide-react';
import type { Face } from '../../api/client';
import type { LetterRule, Lettering, RuleBy } from '../../core/document';
import { changeChosen } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { ColourField } from '../../ui/ColourField';
import { IconButton } from '../../ui/IconButton';
import { NumberField } from '../../ui/NumberField';

const BY: { value: RuleBy; label: string }[] = [
  { value: 'word', label: 'A word' },
  { value: 'words', label: 'Words by number' },
  { value: 'phrases', label: 'Phrases by number' },
  { value: 'letters', label: 'Letters by number' },
  { value: 'initials', label: 'First letters of words' },
  { value: 'capitals', label: 'Capitals' },
  { value: 'digits', label: 'Digits' },
  { value: 'punctuation', label: 'Punctuation' },
  { value: 'separators', label: 'Separators' },
];
const COUNTED = new Set<RuleBy>(['words', 'phrases', 'letters', 'initials']);

/** Rules by word, phrase, kind of letter or position; later ones win. */
export function RuleList({ lettering, face }: { lettering: Lettering; face: Face | undefined }) {
  const rules = lettering.rules ?? [];
  const put = (next: LetterRule[], merge = '') =>
    changeChosen(lettering.id, { rules: next }, merge);
  const change = (i: number, parts: Partial<LetterRule>) =>
    put(
      rules.map((r, k) => (k === i ? { ...r, ...parts } : r)),
      `rule.${i}`,
    );
  return (
    <>
      {rules.map((r, i) => (
        <div key={i} className="mb-2 rounded-lg bg-paper p-2.5" data-testid={`rule-${i}`}>
          <Rule
            rule={r}
            face={face}
            onChange={(parts) => change(i, parts)}
            onRemove={() => put(rules.filter((_, k) => k !== i))}
          />
        </div>
      ))}
      <button
        type="button"
        className="btn w-full"
        onClick={() => put([...rules, { by: 'words', every: 2, from: 2, fill: '#C4472D' }])}
      >
        <Plus className="size-4" /> Let some letters differ
      </button>
    </>
  );
}

interface RuleProps {
  rule: LetterRule;
  face: Face | undefined;
  onChange: (parts: Partial<LetterRule>) => void;
  onRemove: () => void;
}

function Rule({ rule, face, onChange, onRemove }: RuleProps) {
  const weight = face?.axes.find((a) => a.tag === 'wght');
  const own = rule.axes?.wght;
  return (
    <>
      <div className="mb-1.5 flex items-center gap-1">
        <div className="min-w-0 flex-1">
          <Choice
            bare
            label="Which"
            value={rule.by}
            options={BY}
            onChange={(by) => onChange({ by })}
          />
        </div>
        <IconButton label="Take this rule away" onClick={onRemove}>
          <Trash2 className="size-3.5" />
        </IconButton>
      </div>
      {rule.by === 'word' && (
        <div className="mb-1.5 flex items-center gap-2">
          <span className="w-23 shrink-0 text-soft">The word</span>
          <input
            className="field"
            aria-label="The word"
            maxLength={200}
            value={rule.match ?? ''}
            onChange={(e) => onChange({ match: e.target.value })}
          />
        </div>
      )}
      {COUNTED.has(rule.by) && (
        <>
          <NumberField
            label="Every"
            decimals={0}
            value={rule.every ?? 1}
            onChange={(n) => onChange({ every: Math.max(1, Math.round(n)) })}
          />
          <NumberField
            label="From number"
            decimals={0}
            value={rule.from ?? 1}
            onChange={(n) => onChange({ from: Math.max(1, Math.round(n)) })}
          />
        </>
      )}
      <Check
        label="Own colour"
        value={rule.fill !== undefined}
        onChange={(on) => onChange({ fill: on ? '#C4472D' : undefined })}
      />
      {rule.fill !== undefined && (
        <ColourField label="Colour" value={rule.fill} onChange={(fill) => onChange({ fill })} />
      )}
      {weight && (
        <Check
          label={`Own ${weight.name.toLowerCase()}`}
          value={own !== undefined}
          onChange={(on) => onChange({ axes: on ? { wght: weight.greatest } : {} })}
        />
      )}
      {weight && own !== undefined && (
        <NumberField
          label={weight.name}
          decimals={0}
          step={10}
          value={own}
          onChange={(v) =>
            onChange({ axes: { wght: Math.min(Math.max(v, weight.least), weight.greatest) } })
          }
        />
      )}
      <NumberField
        label="Size"
        unit="%"
        value={rule.size ?? 100}
        onChange={(size) => onChange({ size })}
      />
    </>
  );
}
