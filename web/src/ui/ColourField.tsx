import { useState, type ReactNode } from 'react';
import { endGesture } from '../state/editor';
import { MIXED } from './Choice';

interface Props {
  label: string;
  value: string;
  /** Those that are chosen differ: none of their colours is told. */
  mixed?: boolean;
  onChange: (value: string) => void;
  children?: ReactNode;
}

/** A colour as a swatch to pick from and as #RRGGBB to type. */
export function ColourField({ label, value, mixed, onChange, children }: Props) {
  const [text, setText] = useState<string | null>(null);
  const commit = () => {
    const hex = /^#?([0-9a-f]{6})$/i.exec((text ?? '').trim())?.[1];
    if (hex && (mixed || `#${hex.toUpperCase()}` !== value)) onChange(`#${hex.toUpperCase()}`);
    setText(null);
  };
  return (
    <div className="mb-1.5 flex items-center gap-2">
      <span className="w-23 shrink-0 text-soft">{label}</span>
      <div className="flex min-w-0 flex-1 items-center gap-1.5">
        <input
          type="color"
          aria-label={`${label}: pick`}
          className="h-7 w-8 shrink-0 cursor-pointer rounded-md border border-rule bg-sheet p-0.5"
          value={value.toLowerCase()}
          onChange={(e) => onChange(e.target.value.toUpperCase())}
          onBlur={endGesture}
        />
        <input
          aria-label={`${label}: six hexadecimal digits`}
          className="field px-1.5 text-[12px]"
          value={text ?? (mixed ? '' : value)}
          placeholder={mixed ? MIXED : undefined}
          onChange={(e) => setText(e.target.value)}
          onBlur={commit}
          onKeyDown={(e) => e.key === 'Enter' && commit()}
        />
      </div>
      {children}
    </div>
  );
}
