import { ExternalLink } from 'lucide-react';
import type { Inset } from '../../core/document';
import { openScene } from '../../state/autosave';
import { OF_PLACED } from '../../state/channels';
import { showAnother } from '../../state/insets';
import { notify } from '../../state/notices';
import { useOtherScenes } from '../../state/projects';
import { changeItem } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice, Segments } from '../../ui/Choice';
import { MovableField } from '../../ui/MovableField';
import { NumberField } from '../../ui/NumberField';
import { TimeField } from '../../ui/TimeField';
import { CentreFields } from '../CentreFields';

/** Which scene an inset shows, when and how fast, and where it stands. */
export function InsetSection({ inset }: { inset: Inset }) {
  const scenes = useOtherScenes();
  const shown = scenes.find((s) => s.id === inset.scene);
  const put = (parts: Partial<Inset>, merge = '') =>
    changeItem(inset.id, parts, merge && `${inset.id}.${merge}`);
  const gone = shown ? [] : [{ value: inset.scene, label: 'A scene that is gone' }];
  return (
    <section className="section">
      <h2 className="section-title">{inset.name}</h2>
      <Choice
        label="Shows"
        value={inset.scene}
        options={[...gone, ...scenes.map((s) => ({ value: s.id, label: s.name }))]}
        onChange={(id) => {
          const other = scenes.find((s) => s.id === id);
          if (other) void showAnother(inset.id, other);
        }}
      />
      {shown ? (
        <button
          type="button"
          className="btn mb-2 w-full"
          onClick={() =>
            void openScene(shown.id).catch((e: unknown) =>
              notify(e instanceof Error ? e.message : String(e), 'error'),
            )
          }
        >
          <ExternalLink className="size-4" /> Open that scene
        </button>
      ) : (
        <p role="alert" className="mb-2 text-[12px] text-ochre">
          The scene is not in this project any more, so nothing is shown. Bring it back in the list
          of scenes, choose another, or remove this from the stack.
        </p>
      )}
      <TimeField
        label="Begins at"
        decimals={3}
        value={inset.begins ?? 0}
        onChange={(begins) => put({ begins }, 'begins')}
      />
      <NumberField
        label="Speed"
        unit="×"
        decimals={3}
        step={0.1}
        value={inset.speed ?? 1}
        onChange={(speed) => put({ speed }, 'speed')}
      />
      <Segments
        label="At its end"
        value={inset.atEnd ?? 'loop'}
        options={[
          { value: 'loop', label: 'Begins again' },
          { value: 'hold', label: 'Stays', detail: 'Its last frame stays' },
        ]}
        onChange={(atEnd) => put({ atEnd })}
      />
      <Check
        label="With its backdrop"
        value={inset.background ?? false}
        onChange={(background) => put({ background })}
      />
      {OF_PLACED.map((c) => (
        <MovableField key={c} item={inset.id} channel={c} />
      ))}
      <CentreFields item={inset.id} centre={inset.centre ?? [0, 0]} />
    </section>
  );
}
