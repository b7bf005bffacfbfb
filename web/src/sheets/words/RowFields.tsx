import { plainRows } from '../../core/document';
import type { Lettering, Rows } from '../../core/document';
import { changePart } from '../../state/values';
import { Segments } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';

/** The same lettering several times over, to fill a frame. */
export function RowFields({ lettering }: { lettering: Lettering }) {
  const rows = lettering.rows ?? plainRows;
  const put = (parts: Partial<Rows>) =>
    changePart(lettering.id, 'rows', parts, `rows.${lettering.id}`);
  return (
    <>
      <NumberField
        label="Rows"
        decimals={0}
        value={rows.count}
        onChange={(n) => put({ count: Math.round(n) })}
      />
      {rows.count > 1 && (
        <>
          <Segments
            label="Each is"
            value={rows.kind}
            options={[
              { value: 'moved', label: 'Moved', detail: 'The same path elsewhere' },
              { value: 'parallel', label: 'Parallel', detail: 'A path beside the one before' },
            ]}
            onChange={(kind) => put({ kind })}
          />
          <NumberField
            label="Step"
            unit="px"
            value={rows.step}
            onChange={(step) => put({ step })}
          />
          {rows.kind === 'moved' && (
            <NumberField
              label="Direction"
              unit="°"
              value={rows.direction}
              onChange={(direction) => put({ direction })}
            />
          )}
          <NumberField
            label="Phrases on"
            decimals={0}
            value={rows.phrase}
            onChange={(n) => put({ phrase: Math.round(n) })}
          />
          <NumberField
            label="Shifted by"
            unit="px"
            value={rows.phase}
            onChange={(phase) => put({ phase })}
          />
          <p className="text-[12px] text-soft">
            Each row begins that many phrases later than the one before, and that much further
            along.
          </p>
        </>
      )}
    </>
  );
}
