import { useState } from 'react';
import { CopyPlus, X } from 'lucide-react';
import * as core from '../../core/core';
import type { Lettering, RecipeKind } from '../../core/document';
import { applyEdit, useEditor } from '../../state/editor';
import { addFollowers } from '../../state/itemActions';
import { RecipeFields } from './RecipeFields';

interface Card {
  kind: RecipeKind;
  label: string;
  /** What sets it apart from another card of its kind, and how that is told. */
  with?: Record<string, unknown>;
  is?: (params: Record<string, unknown>) => boolean;
  /** A small picture of the movement, time down as in the Journey. */
  d: string;
}

const CARDS: Card[] = [
  {
    kind: 'enter-hold-leave',
    label: 'Enter, hold, leave',
    with: { leaves: 'onward' },
    is: (r) => r.leaves !== 'stays',
    d: 'M4 2C14 8 22 8 22 14V22C22 28 32 28 40 34',
  },
  {
    kind: 'enter-hold-leave',
    label: 'Enter and stay',
    with: { leaves: 'stays' },
    is: (r) => r.leaves === 'stays',
    d: 'M4 2C14 10 24 12 24 20V34',
  },
  {
    kind: 'endless-lap',
    label: 'Endless lap',
    with: { eased: false },
    is: (r) => r.eased !== true,
    d: 'M6 2L18 34M18 2L30 34M30 2L42 34',
  },
  {
    kind: 'endless-lap',
    label: 'Eased lap',
    with: { eased: true },
    is: (r) => r.eased === true,
    d: 'M6 2C6 16 42 20 42 34',
  },
  { kind: 'steady-cruise', label: 'Steady cruise', d: 'M6 2L40 34' },
  { kind: 'sway', label: 'Sway', d: 'M22 2C36 7 36 12 22 18C8 24 8 29 22 34' },
  {
    kind: 'carousel',
    label: 'Carousel',
    d: 'M4 18A20 8 0 1 0 44 18A20 8 0 1 0 4 18M20 21L28 26L20 31',
  },
  {
    kind: 'stand-up',
    label: 'Stand up',
    d: 'M10 11A14 9 0 1 0 38 11A14 9 0 1 0 10 11M4 29A20 4 0 1 0 44 29A20 4 0 1 0 4 29',
  },
  { kind: 'letter-reveal', label: 'Letter reveal', d: 'M4 6H14M4 15H24M4 24H34M4 33H44' },
  { kind: 'clock-sweep', label: 'Clock sweep', d: 'M23 18V4A14 14 0 1 1 9 18' },
];

/** How often a lettering goes round in the scene, and how long that takes once. */
function turnsOf(item: string, length: number): string | undefined {
  const turns = Math.abs(core.motionOf(item, 'pathOffset')?.cruise?.amount ?? 0);
  const each = Math.round((length / turns) * 100) / 100;
  return turns === 0
    ? undefined
    : turns === 1
      ? `one, of ${each} s`
      : `${turns}, of ${each} s each`;
}

/** Ways to move that are written in one click, and can be edited on afterwards. */
export function RecipeCards({ lettering }: { lettering: Lettering }) {
  const recipes = lettering.recipes ?? [];
  const [shown, setShown] = useState<RecipeKind | null>(recipes[0]?.kind ?? null);
  const length = useEditor((s) => s.doc?.length ?? 0);
  const own = (kind: RecipeKind) => recipes.find((r) => r.kind === kind);
  const chosen = shown ? own(shown) : undefined;
  const write = (kind: RecipeKind, params: Record<string, unknown>) => {
    const problems = applyEdit(
      { op: 'recipe', item: lettering.id, kind, ...params },
      `recipe.${kind}`,
    );
    if (problems.length === 0) useEditor.setState({ keyframe: null, keys: [] });
  };
  return (
    <section className="section">
      <div className="mb-2.5 grid grid-cols-2 gap-1.5" aria-label="Recipes" role="group">
        {CARDS.map((c) => {
          const there = own(c.kind);
          const used = there !== undefined && (c.is?.({ ...there }) ?? true);
          return (
            <button
              key={c.label}
              type="button"
              aria-pressed={used}
              className={`flex items-center gap-1.5 rounded-lg border px-1.5 py-1.5 text-left leading-tight ${
                used ? 'border-teal bg-wash' : 'border-rule hover:border-soft'
              }`}
              onClick={() => {
                setShown(c.kind);
                if (!used) write(c.kind, { ...there, ...c.with });
              }}
            >
              <svg viewBox="0 0 48 36" className="h-7 w-7 shrink-0" aria-hidden="true">
                <path d={c.d} fill="none" className="stroke-teal" strokeWidth="2.6" />
              </svg>
              {c.label}
            </button>
          );
        })}
      </div>
      {chosen && (
        <div className="rounded-lg bg-paper p-2.5" data-testid="recipe">
          <p className="mb-1.5 flex items-center justify-between font-semibold">
            {CARDS.find((c) => c.kind === chosen.kind && (c.is?.({ ...chosen }) ?? true))?.label}
            <button
              type="button"
              className="rounded p-0.5 text-soft hover:text-vermilion"
              aria-label="Take this movement away"
              title="Take this movement away"
              onClick={() => applyEdit({ op: 'recipe', item: lettering.id, drop: chosen.kind })}
            >
              <X className="size-4" />
            </button>
          </p>
          <RecipeFields
            recipe={{ ...chosen }}
            turns={chosen.kind === 'carousel' ? turnsOf(lettering.id, length) : undefined}
            onChange={(params) => write(chosen.kind, params)}
          />
        </div>
      )}
      <button
        type="button"
        className="btn mt-2 w-full"
        title="On the same path, one after the other, and with all that these words do"
        onClick={() => addFollowers(lettering.id)}
      >
        <CopyPlus className="size-4" /> Two copies that come after
      </button>
    </section>
  );
}
