import { Plus } from 'lucide-react';
import type { Placed } from '../core/document';
import { OF_PLACED } from '../state/channels';
import { useEditor } from '../state/editor';
import { changeScene } from '../state/values';
import {
  cutOf,
  drawingOf,
  fieldOf,
  filledPathOf,
  footageOf,
  groupOf,
  insetOf,
  itemOf,
  letteringOf,
  pictureOf,
  placedOf,
} from '../state/items';
import { addColourField } from '../state/itemActions';
import { Check } from '../ui/Check';
import { ColourField } from '../ui/ColourField';
import { MovableField } from '../ui/MovableField';
import { CutForward, CutSection } from './dress/CutSection';
import { DepthFold } from './dress/DepthFold';
import { CoreFold } from './dress/CoreFold';
import { ThicknessFold } from './dress/ThicknessFold';
import { DrawingSection } from './dress/DrawingSection';
import { FieldSection } from './dress/FieldSection';
import { FilledPathSection } from './dress/FilledPathSection';
import { FinishSection } from './dress/FinishSection';
import { FootageSection } from './dress/FootageSection';
import { InsetSection } from './dress/InsetSection';
import { LetteringSection } from './dress/LetteringSection';
import { MeetsSection } from './dress/MeetsSection';
import { PinsSection } from './dress/PinsSection';
import { PictureSection } from './dress/PictureSection';
import { ProjectFootage } from './dress/ProjectFootage';
import { ProjectPictures } from './dress/ProjectPictures';
import { ProjectScenes } from './dress/ProjectScenes';
import { GroupSection } from './GroupSection';

/** How the chosen item looks: colours, place, effects, clip; then the backdrop. */
export function DressSheet() {
  const doc = useEditor((s) => s.doc);
  const selected = useEditor((s) => s.selected);
  const lettering = letteringOf(doc, selected);
  const field = fieldOf(doc, selected);
  const filled = filledPathOf(doc, selected);
  const drawing = drawingOf(doc, selected);
  const picture = pictureOf(doc, selected);
  const footage = footageOf(doc, selected);
  const inset = insetOf(doc, selected);
  const placed = placedOf(doc, selected);
  const group = groupOf(doc, selected);
  const cut = cutOf(doc, selected);
  const item = itemOf(doc, selected);
  if (!doc) return null;
  return (
    <>
      {lettering && <LetteringSection key={lettering.id} lettering={lettering} />}
      {field && <FieldSection key={field.id} field={field} />}
      {filled && <FilledPathSection key={filled.id} item={filled} />}
      {picture && <PictureSection key={picture.id} picture={picture} />}
      {footage && <FootageSection key={footage.id} footage={footage} />}
      {footage && <PinsSection key={`${footage.id} pins`} footage={footage} />}
      {inset && <InsetSection key={inset.id} inset={inset} />}
      {cut && <CutSection key={cut.id} cut={cut} />}
      {drawing && <DrawingSection key={drawing.id} drawing={drawing} />}
      {group && (
        <>
          <PlacedSection key={group.id} placed={group} />
          <GroupSection group={group} />
        </>
      )}
      {item && (placed || filled) && <CutForward key={`${item.id} cut`} item={item} />}
      {item && (lettering || placed || filled || cut) && (
        <>
          <FinishSection key={`${item.id} finish`} item={item} />
          <DepthFold key={`${item.id} depth`} item={item} />
          <ThicknessFold key={`${item.id} thickness`} item={item} />
          <CoreFold key={`${item.id} core`} item={item} />
          <MeetsSection key={`${item.id} meets`} item={item} />
        </>
      )}
      {!item && (
        <p className="mb-3 rounded-lg bg-paper p-3">
          Choose what is to be dressed, on the stage or in the stack.
        </p>
      )}
      <ProjectFootage />
      <ProjectPictures />
      <ProjectScenes />
      <section className="section">
        <h2 className="section-title">Backdrop</h2>
        <Check
          label="Background colour"
          value={doc.background !== null}
          onChange={(on) => changeScene({ background: on ? '#F3E9D2' : null })}
        />
        {doc.background !== null && (
          <ColourField
            label="Background"
            value={doc.background}
            onChange={(background) => changeScene({ background }, 'background')}
          />
        )}
        <button type="button" className="btn mt-2 w-full" onClick={addColourField}>
          <Plus className="size-4" /> Colour field
        </button>
        <p className="mt-1.5 text-[12px] leading-snug text-soft">
          A plain or graded area, over the whole frame or a part of it. It can move and fade.
        </p>
      </section>
    </>
  );
}

function PlacedSection({ placed }: { placed: Placed }) {
  return (
    <section className="section">
      <h2 className="section-title">{placed.name}</h2>
      {OF_PLACED.map((c) => (
        <MovableField key={c} item={placed.id} channel={c} />
      ))}
    </section>
  );
}
