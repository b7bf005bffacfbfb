import { Plus, Trash2 } from 'lucide-react';
import type { Stop } from '../../core/document';
import { MOST_STOPS } from '../../core/generated/frame';
import { ColourField } from '../../ui/ColourField';
import { IconButton } from '../../ui/IconButton';
import { NumberField } from '../../ui/NumberField';

interface StopsProps {
  stops: Stop[];
  onChange: (stops: Stop[], merge: string) => void;
}

/** The colours that a gradient goes through. */
export function Stops({ stops, onChange }: StopsProps) {
  const put = (index: number, parts: Partial<Stop>, merge: string) =>
    onChange(
      stops.map((s, i) => (i === index ? { ...s, ...parts } : s)),
      `${index}.${merge}`,
    );
  const add = () => {
    // Halfway between the last two, so that nothing jumps.
    const [a, b] = stops.slice(-2);
    if (!a || !b) return;
    const between = { ...a, offset: (a.offset + b.offset) / 2 };
    onChange([...stops.slice(0, -1), between, b], '');
  };
  return (
    <>
      <h3 className="mt-3 mb-1 font-medium">Colours along it</h3>
      <ul className="space-y-1.5">
        {stops.map((s, i) => (
          <li key={i} className="rounded-lg border border-rule p-2">
            <ColourField
              label="Colour"
              value={s.colour}
              onChange={(colour) => put(i, { colour }, 'colour')}
            >
              {stops.length > 2 && (
                <IconButton
                  label={`Remove colour ${i + 1}`}
                  onClick={() =>
                    onChange(
                      stops.filter((_, k) => k !== i),
                      '',
                    )
                  }
                >
                  <Trash2 className="size-4" />
                </IconButton>
              )}
            </ColourField>
            <NumberField
              label="At"
              unit="%"
              value={s.offset}
              onChange={(v) => put(i, { offset: within(v, stops, i) }, 'offset')}
            />
            <NumberField
              label="Opacity"
              unit="%"
              value={s.opacity}
              onChange={(v) => put(i, { opacity: Math.min(Math.max(v, 0), 100) }, 'opacity')}
            />
          </li>
        ))}
      </ul>
      {stops.length < MOST_STOPS && (
        <button type="button" className="btn mt-1.5 mb-3 w-full" onClick={add}>
          <Plus className="size-4" /> Colour
        </button>
      )}
    </>
  );
}

/** An offset that stays between those of its neighbours. */
function within(offset: number, stops: Stop[], index: number): number {
  const least = stops[index - 1]?.offset ?? 0;
  const most = stops[index + 1]?.offset ?? 100;
  return Math.min(Math.max(offset, least), most);
}
