import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { Lettering } from '../core/document';
import { changeLettering, endGesture } from '../state/editor';
import { Choice } from '../ui/Choice';
import { ColourField } from '../ui/ColourField';
import { MovableField } from '../ui/MovableField';
import { NumberField } from '../ui/NumberField';

/** The text, its typeface, size, tracking and colour. */
export function WordsSheet({ lettering }: { lettering: Lettering }) {
  const faces = useQuery({ queryKey: ['faces'], queryFn: api.faces, staleTime: Infinity });
  const face = faces.data?.find((f) => f.id === lettering.face);
  const id = lettering.id;
  return (
    <>
      <section className="section">
        <label className="section-title block" htmlFor="words-text">
          Text
        </label>
        <textarea
          id="words-text"
          className="field h-auto min-h-18 resize-y py-1.5 text-[15px] leading-snug"
          rows={3}
          maxLength={10000}
          value={lettering.text}
          placeholder="Type the words here"
          onChange={(e) => changeLettering(id, { text: e.target.value }, `text.${id}`)}
          onBlur={endGesture}
        />
        {lettering.text.length > 9000 && (
          <p className="mt-1 text-[12px] text-soft">{lettering.text.length} of 10000 characters</p>
        )}
      </section>
      <section className="section">
        <h2 className="section-title">Typeface</h2>
        <Choice
          label="Face"
          value={lettering.face}
          options={(faces.data ?? []).map((f) => ({
            value: f.id,
            label: f.name,
            detail: f.character,
            style: { fontFamily: `'face ${f.id}'`, fontSize: 15 },
          }))}
          onChange={(value) => changeLettering(id, { face: value, axes: {} })}
        />
        {face?.axes.map((a) => (
          <NumberField
            key={a.tag}
            label={a.name}
            value={lettering.axes[a.tag] ?? a.start}
            decimals={a.greatest <= 1 ? 2 : 0}
            step={a.greatest <= 1 ? 0.1 : a.greatest > 200 ? 10 : 1}
            onChange={(v) =>
              changeLettering(
                id,
                {
                  axes: {
                    ...lettering.axes,
                    [a.tag]: Math.min(Math.max(v, a.least), a.greatest),
                  },
                },
                `${id}.${a.tag}`,
              )
            }
          />
        ))}
        <MovableField item={id} channel="size" />
        <NumberField
          label="Tracking"
          value={lettering.tracking}
          unit="em"
          decimals={3}
          step={0.005}
          units={{ '%': (v) => v / 100 }}
          onChange={(v) => changeLettering(id, { tracking: v }, `${id}.tracking`)}
        />
      </section>
      <section className="section">
        <h2 className="section-title">Colour</h2>
        <ColourField
          label="Fill"
          value={lettering.fill}
          onChange={(fill) => changeLettering(id, { fill }, `${id}.fill`)}
        />
      </section>
    </>
  );
}
