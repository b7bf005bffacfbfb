import { Spline } from 'lucide-react';
import { shapeKinds } from '../../core/core';
import type { ShapePath } from '../../core/document';
import { useEditor } from '../../state/editor';
import { editPath } from '../../state/paths';
import { MovableField } from '../../ui/MovableField';
import { NumberField } from '../../ui/NumberField';

/** The numbers of a shape, each of which can move. */
export function ShapeNumbers({ path }: { path: ShapePath }) {
  const kind = shapeKinds().find((k) => k.kind === path.kind);
  const info = useEditor((s) => s.summary?.paths[path.id]);
  return (
    <>
      {kind?.numbers.map((n) => (
        <MovableField key={n.field} item={path.id} channel={n.field} />
      ))}
      {info?.chord !== undefined && info.height !== undefined && (
        <>
          <NumberField
            label="Chord"
            unit="px"
            value={info.chord}
            onChange={(chord) => editPath('chord', { chord, height: info.height }, 'chord')}
          />
          <NumberField
            label="Arc height"
            unit="px"
            value={info.height}
            onChange={(height) => editPath('chord', { chord: info.chord, height }, 'chord')}
          />
        </>
      )}
      <button type="button" className="btn mt-1 w-full" onClick={() => editPath('toPoints')}>
        <Spline className="size-4" /> Turn into points
      </button>
    </>
  );
}
