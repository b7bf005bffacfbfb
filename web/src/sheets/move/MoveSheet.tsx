import { useClock, useTimeWords } from '../../state/timeUnit';
import { labelOf, shapeKinds } from '../../core/core';
import type { Lettering } from '../../core/document';
import {
  appearanceOf,
  channelsOf,
  chartedOf,
  MAIN,
  MORE,
  OF_RIDE,
  SHOWN,
} from '../../state/channels';
import { useEditor } from '../../state/editor';
import { itemOf, letteringOf, shapeOf } from '../../state/items';
import { useFaces } from '../../state/faces';
import { Fold } from '../../ui/Fold';
import { MovableValue } from '../../ui/MovableValue';
import { MovableField } from '../../ui/MovableField';
import { BlurFields } from './BlurFields';
import { CueList } from './CueList';
import { MotionFields } from './MotionFields';
import { RecipeCards } from './RecipeCards';
import { PinFold } from '../PinnedTo';
import { RideFields } from './RideFields';
import { ShownFields, shownWords } from './ShownFields';
import { TrailFields } from './TrailFields';
import { useRestingTime } from '../../state/restingTime';

/** Recipes, then every value that can move, at the playhead, with its ring. */
export function MoveSheet() {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const time = useRestingTime();
  const lettering = letteringOf(doc, selected);
  const shape = shapeOf(doc, selected);
  const charted = useEditor(chartedOf);
  const words = useTimeWords();
  const told = useClock();
  if (!doc || (!lettering && !shape)) {
    return (
      <>
        <p className="mb-3 rounded-lg bg-paper p-3">
          Choose what is to move, on the stage or in the stack.
        </p>
        <Scenewide />
      </>
    );
  }
  const id = lettering?.id ?? shape?.id ?? '';
  const item = itemOf(doc, id);
  return (
    <>
      {lettering && <RecipeCards key={id} lettering={lettering} />}
      <section className="section">
        <h2 className="section-title">At {told(time)}</h2>
        {(lettering ? MAIN : channelsOf(doc, id).filter((c) => !OF_RIDE.includes(c))).map((c) => (
          <MovableValue key={c} item={id} channel={c} />
        ))}
        {lettering && <More lettering={lettering} />}
        <p className="mt-2 text-[12px] leading-snug text-soft">
          A ring sets or removes a keyframe at the playhead. A value without keyframes is still, and
          stays so when you edit it. Hold Alt to shift a whole movement.
        </p>
      </section>
      <WhatMoves id={id} />
      <MotionFields item={id} channel={charted} lettering={lettering} />
      <Fold
        title="Ride a path"
        aside={doc.paths.find((p) => p.id === item?.ride?.path)?.name ?? 'off'}
        open={item?.ride !== undefined}
      >
        <RideFields id={id} />
      </Fold>
      {item && <PinFold key={`${id} pin`} item={item} />}
      <Fold title="Shown" aside={shownWords(doc, id, words)}>
        <ShownFields id={id} />
      </Fold>
      {lettering && (
        <Fold title="Trail" aside={lettering.trail ? 'on' : 'off'} open={!!lettering.trail}>
          <TrailFields lettering={lettering} />
        </Fold>
      )}
      <Scenewide lettering={lettering} />
    </>
  );
}

function Scenewide({ lettering }: { lettering?: Lettering }) {
  const cues = useEditor((s) => s.doc?.cues?.length ?? 0);
  const angle = useEditor((s) => s.doc?.blur?.angle ?? 0);
  return (
    <>
      <Fold title="Cues" aside={cues || ''}>
        <CueList />
      </Fold>
      <Fold title="Motion blur" aside={angle > 0 ? `${angle}°` : 'off'}>
        <BlurFields lettering={lettering} />
      </Fold>
    </>
  );
}

function More({ lettering }: { lettering: Lettering }) {
  const face = useFaces().find((f) => f.id === lettering.face);
  const path = useEditor((s) => s.doc?.paths.find((p) => p.id === lettering.path));
  const shape = shapeKinds().find((k) => k.kind === path?.kind);
  const shown = SHOWN.filter((c) => (c.startsWith('sweep') ? lettering.sweep : lettering.reveal));
  return (
    <details className="mt-1">
      <summary className="cursor-pointer py-1 font-medium text-teal">More values</summary>
      {[...MORE, ...shown].map((c) => (
        <MovableField key={c} item={lettering.id} channel={c} />
      ))}
      <MovableValue item={lettering.id} channel="fill" />
      {face?.axes.map((a) => (
        <MovableField
          key={a.tag}
          item={lettering.id}
          channel={`axis-${a.tag}`}
          label={a.name}
          missing={a.start}
          decimals={a.greatest <= 1 ? 2 : 0}
          range={[a.least, a.greatest]}
        />
      ))}
      {appearanceOf(lettering.id)
        .filter((c) => !OF_RIDE.includes(c))
        .map((c) => (
          <MovableField key={c} item={lettering.id} channel={c} />
        ))}
      {path && shape && (
        <>
          <p className="mt-2 mb-1 text-[12px] text-soft">Of the path {path.name}</p>
          {shape.numbers.map((n) => (
            <MovableField key={n.field} item={path.id} channel={n.field} />
          ))}
        </>
      )}
    </details>
  );
}

/** The values that move, to choose which one is charted. */
function WhatMoves({ id }: { id: string }) {
  const summary = useEditor((s) => s.summary?.items[id]);
  const charted = useEditor(chartedOf);
  const moving = summary?.moving ?? [];
  return (
    <section className="section">
      <h2 className="section-title">What moves</h2>
      {moving.length === 0 && (
        <p className="text-soft">Nothing yet. Choose a recipe, or click the ring of a value.</p>
      )}
      <ul className="space-y-1">
        {moving.map((c) => {
          const n = summary?.channels[c]?.length ?? 0;
          return (
            <li key={c}>
              <button
                type="button"
                aria-pressed={c === charted}
                className={`flex w-full justify-between rounded-md border px-2.5 py-1.5 text-left ${
                  c === charted ? 'border-teal bg-wash' : 'border-rule hover:border-soft'
                }`}
                onClick={() => useEditor.setState({ charted: c, keyframe: null, keys: [] })}
              >
                {labelOf(c)}
                <span className="text-soft">
                  {n === 0 ? 'by itself' : `${n} ${n === 1 ? 'keyframe' : 'keyframes'}`}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
