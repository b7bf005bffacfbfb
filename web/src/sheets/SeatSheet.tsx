import type { Lettering, Seat } from '../core/document';
import { changeLettering, useEditor } from '../state/editor';
import { Choice, Segments } from '../ui/Choice';
import { MovableField } from '../ui/MovableField';

/** How the lettering sits on its path. */
export function SeatSheet({ lettering }: { lettering: Lettering }) {
  const closed = useEditor((s) => s.summary?.paths[lettering.path]?.closed ?? false);
  const seat = lettering.seat;
  const put = (parts: Partial<Seat>) =>
    changeLettering(lettering.id, { seat: { ...seat, ...parts } });
  return (
    <>
      <section className="section">
        <h2 className="section-title">Along the path</h2>
        <Segments
          label="Align"
          value={seat.align}
          options={[
            { value: 'start', label: 'Start' },
            { value: 'middle', label: 'Middle' },
            { value: 'end', label: 'End' },
          ]}
          onChange={(align) => put({ align })}
        />
        <MovableField item={lettering.id} channel="pathOffset" />
        <MovableField item={lettering.id} channel="startMargin" />
        <MovableField item={lettering.id} channel="endMargin" />
        <Choice
          label="Past the ends"
          value={seat.ends ?? (closed ? 'wrap' : 'continue')}
          options={[
            { value: 'continue', label: 'Straight on' },
            { value: 'cut', label: 'Cut off' },
            { value: 'wrap', label: 'Come round' },
          ]}
          onChange={(ends) => put({ ends })}
        />
      </section>
      <section className="section">
        <h2 className="section-title">Across the path</h2>
        <Segments
          label="Side"
          value={seat.side}
          options={[
            {
              value: 'left',
              label: closed ? 'Outside' : 'Left',
              detail: 'Left of the direction of travel',
            },
            {
              value: 'right',
              label: closed ? 'Inside' : 'Right',
              detail: 'Right, read the other way',
            },
          ]}
          onChange={(side) => put({ side })}
        />
        <MovableField item={lettering.id} channel="baselineShift" />
        <Segments
          label="Letters"
          value={seat.orientation}
          options={[
            { value: 'turn', label: 'Turn', detail: 'Turn with the path' },
            { value: 'upright', label: 'Upright', detail: 'Stay upright' },
          ]}
          onChange={(orientation) => put({ orientation })}
        />
      </section>
    </>
  );
}
