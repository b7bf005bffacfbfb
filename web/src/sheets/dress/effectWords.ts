import type { Effect } from '../../core/document';
import { BLEND_MODES } from '../../core/generated/frame';

/** What an effect is called, and what it does to an item. */
export const EFFECTS: { kind: Effect['kind']; label: string; detail: string }[] = [
  { kind: 'outline', label: 'Outline', detail: 'A line along its edges, whole, dashed or drawn' },
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

/** What is chosen for an effect, in words, by kind and the name in the document. */
const OPTIONS: Record<string, Option> = {
  'glow side': {
    label: 'Where',
    choices: [
      { value: 'outer', label: 'Round it' },
      { value: 'inner', label: 'Within' },
    ],
  },
  'glow blendMode': { label: 'Blend', choices: MODES },
  'outline side': {
    label: 'Side',
    choices: [
      { value: 'outside', label: 'Outer' },
      { value: 'centred', label: 'Both' },
      { value: 'inside', label: 'Inner' },
    ],
  },
  'outline filling': {
    label: 'Colours',
    choices: [
      { value: 'plain', label: 'One' },
      { value: 'linear', label: 'Linear' },
      { value: 'radial', label: 'Radial' },
    ],
  },
  'outline join': {
    label: 'Corners',
    choices: [
      { value: 'round', label: 'Round' },
      { value: 'miter', label: 'Sharp' },
      { value: 'bevel', label: 'Cut off' },
    ],
  },
};

export function optionOf(kind: Effect['kind'], name: string): Option {
  return OPTIONS[`${kind} ${name}`]!;
}
