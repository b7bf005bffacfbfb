import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { Check, ChevronDown } from 'lucide-react';
import { memo, useCallback, useEffect, useRef, type CSSProperties } from 'react';

interface Option<T extends string> {
  value: T;
  label: string;
  detail?: string;
  style?: CSSProperties;
}

/** In the place of a value where those that are chosen differ. */
export const MIXED = 'mixed';

interface Props<T extends string> {
  label: string;
  /** Null where those that are chosen differ. */
  value: T | null;
  options: Option<T>[];
  onChange: (value: T) => void;
  /** Without its label in sight; it is still told to those who listen. */
  bare?: boolean;
  /** The label over the choices, where beside it they would be cut. */
  stacked?: boolean;
}

/** One of several, from a list. Drawn again only when it looks otherwise: a list is costly. */
export function Choice<T extends string>(props: Props<T>) {
  const latest = useRef(props.onChange);
  useEffect(() => {
    latest.current = props.onChange;
  });
  const change = useCallback((value: string) => latest.current(value as T), []);
  return <List {...props} onChange={change} />;
}

const sameOptions = (a: Option<string>[], b: Option<string>[]) =>
  a === b ||
  (a.length === b.length &&
    a.every((o, i) => {
      const p = b[i]!;
      return (
        o.value === p.value && o.label === p.label && o.detail === p.detail && o.style === p.style
      );
    }));

const List = memo(ListView, (a, b) => {
  const same = a.label === b.label && a.value === b.value && a.bare === b.bare;
  return same && sameOptions(a.options, b.options);
});

function ListView({ label, value, options, onChange, bare }: Props<string>) {
  const chosen = options.find((o) => o.value === value);
  const word = chosen?.label ?? value ?? MIXED;
  return (
    <div className={bare ? '' : 'mb-1.5 flex items-center gap-2'}>
      {!bare && <span className="w-23 shrink-0 text-soft">{label}</span>}
      <Listbox value={value} onChange={(v) => v !== null && onChange(v)}>
        <ListboxButton
          aria-label={`${label}: ${word}`}
          className="field flex items-center justify-between gap-1 text-left"
        >
          <span className={`truncate ${value === null ? 'text-soft' : ''}`} style={chosen?.style}>
            {word}
          </span>
          <ChevronDown className="size-3.5 shrink-0 text-soft" />
        </ListboxButton>
        <ListboxOptions anchor="bottom start" className="menu max-h-80 [--anchor-gap:4px]">
          {options.map((o) => (
            <ListboxOption key={o.value} value={o.value} className="menu-item cursor-pointer">
              <Check className={`size-3.5 ${o.value === value ? '' : 'invisible'}`} />
              <span style={o.style}>{o.label}</span>
              {o.detail && <span className="ml-auto pl-4 text-[12px] text-soft">{o.detail}</span>}
            </ListboxOption>
          ))}
        </ListboxOptions>
      </Listbox>
    </div>
  );
}

/** One of a few, side by side. None is marked where those that are chosen differ. */
export function Segments<T extends string>(props: Props<T>) {
  const { label, value, options, onChange, stacked } = props;
  const row = stacked ? 'flex-col gap-1 items-stretch' : 'items-center gap-2';
  return (
    <div className={`mb-1.5 flex ${row}`} role="radiogroup" aria-label={label}>
      <span className={stacked ? 'text-soft' : 'w-23 shrink-0 text-soft'}>{label}</span>
      <div
        className={`flex min-h-7 min-w-0 rounded-md border border-rule bg-sheet p-0.5 ${stacked ? '' : 'flex-1'}`}
      >
        {options.map((o) => (
          <button
            key={o.value}
            type="button"
            role="radio"
            aria-checked={o.value === value}
            title={o.detail}
            className={`min-w-0 flex-auto truncate rounded-[5px] px-0.5 ${
              o.value === value ? 'bg-wash font-semibold text-teal' : 'text-soft hover:text-ink'
            }`}
            onClick={() => onChange(o.value)}
          >
            {o.label}
          </button>
        ))}
      </div>
    </div>
  );
}
