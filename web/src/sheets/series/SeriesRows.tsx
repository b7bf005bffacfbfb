import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { api, type Series, type SeriesRow } from '../../api/client';
import { notify } from '../../state/notices';
import { IconButton } from '../../ui/IconButton';
import { ColumnField } from './ColumnField';

/** Rows that are shown at one time. */
const PAGE = 12;

interface Props {
  scene: string;
  series: Series;
  /** Another number whenever the pictures may be others. */
  turn: number;
  onMatch: (fields: string[]) => void;
}

/** The rows of a series, each with its picture, its cells and what is to be said of it. */
export function SeriesRows({ scene, series, turn, onMatch }: Props) {
  const [page, setPage] = useState(0);
  const client = useQueryClient();
  const key = ['series-rows', scene, page];
  const rows = useQuery({
    queryKey: key,
    queryFn: () => api.seriesRows(scene, page * PAGE, PAGE),
    placeholderData: keepPreviousData,
  });
  const pages = Math.ceil(series.rows / PAGE);
  const fields = series.columns.map((c) => c.field);
  const changed = (row: SeriesRow) =>
    client.setQueryData<SeriesRow[]>(key, (all) =>
      all?.map((r) => (r.number === row.number ? row : r)),
    );
  return (
    <>
      <div className="min-h-0 flex-1 overflow-auto rounded-lg border border-rule">
        <table className="w-full border-collapse text-left">
          <thead className="sticky top-0 z-10 bg-paper">
            <tr>
              <th className="w-36 p-2 font-normal text-soft">
                {series.rows} {series.rows === 1 ? 'row' : 'rows'}
              </th>
              {series.columns.map((column, c) => (
                <th key={c} className="min-w-36 p-2 align-top">
                  <span className="block max-w-52 truncate" title={column.heading}>
                    {column.heading}
                  </span>
                  <ColumnField
                    heading={column.heading}
                    field={column.field}
                    fields={series.fields}
                    onChange={(field) => onMatch(fields.map((f, i) => (i === c ? field : f)))}
                  />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.data?.map((row) => (
              <Row
                key={row.number}
                scene={scene}
                series={series}
                row={row}
                turn={turn}
                onChanged={changed}
              />
            ))}
          </tbody>
        </table>
      </div>
      {pages > 1 && (
        <div className="mt-2 flex items-center justify-center gap-2">
          <IconButton label="Rows before" disabled={page === 0} onClick={() => setPage(page - 1)}>
            <ChevronLeft className="size-4" />
          </IconButton>
          <span className="text-soft">
            {page * PAGE + 1} to {Math.min(series.rows, (page + 1) * PAGE)} of {series.rows}
          </span>
          <IconButton
            label="Rows after"
            disabled={page + 1 >= pages}
            onClick={() => setPage(page + 1)}
          >
            <ChevronRight className="size-4" />
          </IconButton>
        </div>
      )}
    </>
  );
}

interface RowProps {
  scene: string;
  series: Series;
  row: SeriesRow;
  turn: number;
  onChanged: (row: SeriesRow) => void;
}

function Row({ scene, series, row, turn, onChanged }: RowProps) {
  const [edits, setEdits] = useState(0);
  const change = (column: number, text: string) => {
    const cells = row.cells.map((c, i) => (i === column ? text : c));
    api
      .adjustRow(scene, row.number, cells)
      .then((r) => {
        onChanged(r);
        setEdits(edits + 1);
      })
      .catch((e: unknown) => notify(e instanceof Error ? e.message : String(e), 'error'));
  };
  const findings = row.findings ?? [];
  return (
    <tr className="border-t border-rule align-top">
      <td className="p-2">
        <RowPicture scene={scene} row={row} version={`${turn}-${edits}`} />
        {findings.length > 0 && (
          <p
            className="mt-1 line-clamp-3 max-w-36 text-[12px] leading-snug text-ochre"
            title={findings.join('\n')}
          >
            {findings[0]}
            {findings.length > 1 && ` and ${findings.length - 1} more`}
          </p>
        )}
      </td>
      {row.cells.map((cell, c) => (
        <td key={c} className="p-2">
          <Cell
            key={cell}
            label={`${series.columns[c]?.heading ?? ''}, row ${row.number + 1}`}
            text={cell}
            unused={series.columns[c]?.field === ''}
            bad={row.bad.find((b) => b.column === c)?.reason}
            onChange={(text) => change(c, text)}
          />
        </td>
      ))}
    </tr>
  );
}

function RowPicture({ scene, row, version }: { scene: string; row: SeriesRow; version: string }) {
  if (row.bad.length > 0) {
    return (
      <p className="flex h-20 w-32 items-center justify-center rounded-sm bg-wash px-2 text-center text-[12px] text-soft">
        no picture while a cell is wrong
      </p>
    );
  }
  return (
    <img
      src={`/api/scenes/${scene}/series/rows/${row.number}/picture?v=${version}`}
      alt={`Row ${row.number + 1}`}
      loading="lazy"
      className="h-20 w-32 rounded-sm bg-surround object-contain"
    />
  );
}

/** Characters that a line of a cell has room for, about. */
const ACROSS = 20;

const linesOf = (text: string) =>
  Math.min(
    4,
    text.split('\n').reduce((n, line) => n + Math.max(1, Math.ceil(line.length / ACROSS)), 0),
  );

interface CellProps {
  label: string;
  text: string;
  unused: boolean;
  bad: string | undefined;
  onChange: (text: string) => void;
}

function Cell({ label, text, unused, bad, onChange }: CellProps) {
  const [now, setNow] = useState(text);
  const commit = () => now !== text && onChange(now);
  return (
    <>
      <textarea
        className={`field h-auto w-full resize-none py-1 ${unused ? 'text-soft' : ''} ${bad ? 'border-vermilion' : ''}`}
        rows={linesOf(now)}
        aria-label={label}
        aria-invalid={bad !== undefined}
        value={now}
        onChange={(e) => setNow(e.target.value)}
        onBlur={commit}
        onKeyDown={(e) => {
          if (e.key === 'Enter' && !e.shiftKey) {
            e.preventDefault();
            commit();
          }
        }}
      />
      {bad && (
        <p role="alert" className="text-[12px] leading-snug text-vermilion">
          {bad}
        </p>
      )}
    </>
  );
}
