import { Spline } from 'lucide-react';
import type { FreehandPath } from '../../core/document';
import { useEditor } from '../../state/editor';
import { editPath } from '../../state/paths';
import { Segments } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';

/** How a stroke of the hand is steadied and made simple. */
export function FreehandNumbers({ path }: { path: FreehandPath }) {
  const info = useEditor((s) => s.summary?.paths[path.id]);
  const put = (parts: Record<string, number>) => editPath('freehand', parts, 'freehand');
  return (
    <>
      <NumberField
        label="Steadiness"
        unit="%"
        value={path.steadiness}
        onChange={(steadiness) => put({ steadiness })}
      />
      <NumberField
        label="Simplicity"
        unit="%"
        value={path.simplicity}
        onChange={(simplicity) => put({ simplicity })}
      />
      <p className="mb-2 text-[12px] text-soft" data-testid="freehand-fit">
        {info?.points} points; leaves your stroke by at most {(info?.error ?? 0).toFixed(1)} px.
      </p>
      <Segments
        label="Ends"
        value={path.closed ? 'close' : 'open'}
        options={[
          { value: 'open', label: 'Open' },
          { value: 'close', label: 'Closed' },
        ]}
        onChange={(op) => editPath(op)}
      />
      <button type="button" className="btn mt-1 w-full" onClick={() => editPath('toPoints')}>
        <Spline className="size-4" /> Turn into points
      </button>
    </>
  );
}
