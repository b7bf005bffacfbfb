import { useState } from 'react';
import { PaintBucket } from 'lucide-react';
import type { Lettering } from '../../core/document';
import { isShape } from '../../core/document';
import { pathOf, useEditor } from '../../state/editor';
import { fillPath } from '../../state/itemActions';
import { editPath, kindWord } from '../../state/paths';
import { Fold } from '../../ui/Fold';
import { DrawingSheet } from './DrawingSheet';
import { FilesTools } from './FilesTools';
import { FreehandNumbers } from './FreehandNumbers';
import { OverTime } from './OverTime';
import { PathGallery } from './PathGallery';
import { PathButtons, PathList } from './PathList';
import { PlaceTools } from './PlaceTools';
import { PointTools } from './PointTools';
import { ShapeNumbers } from './ShapeNumbers';
import { StandsOnIt } from './StandsOnIt';
import { TemplateTools } from './TemplateTools';

/** The lines of the scene: which there are, the numbers and points of the chosen one. */
export function PathSheet({ lettering }: { lettering: Lettering | undefined }) {
  const path = useEditor(pathOf);
  const drawing = useEditor((s) => s.drawing);
  const info = useEditor((s) => (path ? s.summary?.paths[path.id] : undefined));
  if (drawing) return <DrawingSheet drawing={drawing} />;
  return (
    <>
      <section className="section">
        <PathGallery />
        <PathList lettering={lettering} chosen={path?.id} />
      </section>
      {path && (
        <>
          <section className="section" key={path.id}>
            <h2 className="section-title flex items-center justify-between">
              {kindWord(path)}
              <PathButtons path={path} />
            </h2>
            {path.locked ? (
              <p className="text-soft">Locked: unlock it in the list to change it.</p>
            ) : (
              <>
                <p className="mb-1.5 flex text-soft">
                  <span className="w-25 shrink-0">Length</span>
                  <span data-testid="path-length">{(info?.length ?? 0).toFixed(1)} px</span>
                </p>
                <NameField id={path.id} name={path.name} />
                {isShape(path) && <ShapeNumbers path={path} />}
                {path.kind === 'freehand' && <FreehandNumbers path={path} />}
                {(path.kind === 'drawn' || path.kind === 'smooth') && <PointTools path={path} />}
                <button
                  type="button"
                  className="btn mt-2 w-full"
                  title="A shape that is filled or drawn with a line, and moves with the path"
                  onClick={() => fillPath(path.id)}
                >
                  <PaintBucket className="size-4" /> Fill this path
                </button>
              </>
            )}
          </section>
          {!path.locked && (
            <>
              <Fold title="Place, size and direction">
                <PlaceTools path={path} closed={info?.closed ?? false} />
              </Fold>
              {lettering && lettering.path === path.id && (
                <Fold
                  title="What stands on it"
                  aside={lettering.seat.pin === undefined ? '' : 'pinned'}
                >
                  <StandsOnIt lettering={lettering} />
                </Fold>
              )}
              {path.kind === 'drawn' && (
                <Fold
                  title="Change of shape"
                  aside={path.shapes ? 'on' : 'off'}
                  open={!!path.shapes}
                >
                  <OverTime path={path} />
                </Fold>
              )}
            </>
          )}
        </>
      )}
      <Fold title="Trace over a picture">
        <TemplateTools />
      </Fold>
      <Fold title="Keep and hand on">
        <FilesTools path={path} />
      </Fold>
    </>
  );
}

/** Kept when left, so that an empty name on the way is no fault. */
function NameField({ id, name }: { id: string; name: string }) {
  const [text, setText] = useState<string | null>(null);
  const keep = () => {
    if (text !== null && text.trim() && text !== name) editPath('label', { path: id, name: text });
    setText(null);
  };
  return (
    <div className="mb-1.5 flex items-center gap-2">
      <label htmlFor="path-name" className="w-23 shrink-0 text-soft">
        Name
      </label>
      <input
        id="path-name"
        className="field"
        maxLength={200}
        value={text ?? name}
        onChange={(e) => setText(e.target.value)}
        onBlur={keep}
        onKeyDown={(e) => e.key === 'Enter' && keep()}
      />
    </div>
  );
}
