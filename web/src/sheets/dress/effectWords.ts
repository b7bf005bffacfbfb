import type { Effect } from '../../core/document';
import { BLEND_MODES } from '../../core/generated/frame';

/** What an effect is called, and what it does to an item. */
export const EFFECTS: { kind: Effect['kind']; label: string; detail: string }[] = [
  { kind: 'drop-shadow', label: 'Drop shadow', detail: 'Its shape in one colour, beneath it' },
  { kind: 'cast-shadow', label: 'Cast shadow', detail: 'Its shape thrown on a ground' },
  { kind: 'glow', label: 'Glow', detail: 'Light round it, or inwards from its edge' },
  { kind: 'blur', label: 'Blur', detail: 'Out of focus' },
];

export const MODES = BLEND_MODES.map((value) => ({ value, label: inWords(value) }));

function inWords(mode: string): string {
  return mode[0]!.toUpperCase() + mode.slice(1).replace('-', ' ');
}

interface Option {
  label: string;
  choices: { value: string; label: string }[];
}

/** What is chosen for an effect, in words, by the name in the document. */
export const OPTIONS: Record<string, Option> = {
  side: {
    label: 'Where',
    choices: [
      { value: 'outer', label: 'Round it' },
      { value: 'inner', label: 'Within' },
    ],
  },
  blendMode: { label: 'Blend', choices: MODES },
};
