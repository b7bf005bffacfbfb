import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Table } from 'lucide-react';
import { useState } from 'react';
import { api, type ExportFormat, type FileSet } from '../../api/client';
import { useKeeper } from '../../state/autosave';
import { useEditor } from '../../state/editor';
import { asked, showFiles, showSeries } from '../../state/handOff';
import { notify } from '../../state/notices';
import { countWords, useFindings, usePictureFindings } from '../../state/proof';
import { Findings } from '../../stage/ProofList';
import { rateLabel } from '../../stage/time';
import { Fold } from '../../ui/Fold';
import { FileRow, isBusy } from './FileRow';
import { FileSets, Ticked } from './FileSets';
import { FormatRow } from './FormatRow';

/** The hand-off formats, and the files made so far. */
export function ExportSheet() {
  const sceneId = useEditor((s) => s.sceneId);
  const doc = useEditor((s) => s.doc);
  const frames = useEditor((s) => s.summary?.frames ?? 0);
  const opened = useEditor((s) => s.opened);
  const kept = useKeeper((s) => s.state === 'kept');
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: ['exports', sceneId] });
  const formats = useQuery({
    // What each makes of the scene is asked anew for every version that is kept.
    queryKey: ['export-formats', sceneId, opened],
    queryFn: () => api.exportFormats(sceneId ?? ''),
    enabled: sceneId !== null && kept,
    placeholderData: keepPreviousData,
  });
  const begin = useMutation({
    mutationFn: async (files: FileSet['files']) => {
      for (const f of files) await api.createExport(sceneId ?? '', f.format, f.options);
    },
    onSettled: refresh,
    onError: (e) => notify(e.message, 'error'),
  });
  if (!doc) return null;
  const all = formats.data ?? [];
  const together = { formats: all, disabled: !kept, onMake: begin.mutate };

  return (
    <>
      <BeforeHandOff />
      <section className="section">
        <p className="mb-2 text-[12px] text-soft">
          {doc.width} × {doc.height}, {frames} frames at {rateLabel(doc.rate)} fps
        </p>
        <FileSets {...together} onMake={(files) => begin.mutate(files.map(atPlayhead(all)))} />
        <button
          type="button"
          className="btn mb-2 w-full justify-center"
          title="One design, many texts: every row of a table becomes a file"
          onClick={showSeries}
        >
          <Table className="size-4" /> A series from a table
        </button>
        {formats.isError && !formats.data && (
          <p className="text-soft">The server cannot be reached: no file can be made now.</p>
        )}
        {!kept && (
          <p className="text-[12px] text-soft">One moment: the latest changes are being kept.</p>
        )}
      </section>
      {groups(all).map(([group, own], i) => (
        <Fold key={group} title={group} aside={endsOf(own)} open={i === 0 || group === 'The web'}>
          {own.map((f) => (
            <FormatRow
              key={f.id}
              format={f}
              disabled={!kept}
              onMake={() => begin.mutate([{ format: f.id, options: asked(f) }])}
            />
          ))}
        </Fold>
      ))}
      <Ticked {...together} />
      <Files scene={sceneId ?? ''} />
    </>
  );
}

/** Formats by what they are for, in their order. */
function groups(all: ExportFormat[]): [string, ExportFormat[]][] {
  const out = new Map<string, ExportFormat[]>();
  for (const f of all) out.set(f.group, [...(out.get(f.group) ?? []), f]);
  return [...out];
}

const endsOf = (formats: ExportFormat[]) =>
  [...new Set(formats.map((f) => f.extension.toUpperCase()))].join(', ');

/** A file of a set, with the time of the playhead where it shows one frame. */
const atPlayhead = (formats: ExportFormat[]) => (file: FileSet['files'][number]) => {
  const format = formats.find((f) => f.id === file.format);
  const shown = format?.options.find((o) => o.kind === 'number' && o.playhead);
  const { time } = useEditor.getState();
  return shown ? { ...file, options: { [shown.name]: time, ...file.options } } : file;
};

function Files({ scene }: { scene: string }) {
  const client = useQueryClient();
  const key = ['exports', scene];
  const refresh = () => client.invalidateQueries({ queryKey: key });
  const list = useQuery({
    queryKey: key,
    queryFn: () => api.exports(scene),
    enabled: scene !== '',
    refetchInterval: (q) => (q.state.data?.some(isBusy) ? 400 : 5000),
  });
  const tell = (e: Error) => notify(e.message, 'error');
  const remove = useMutation({ mutationFn: api.removeExport, onSettled: refresh });
  const again = useMutation({ mutationFn: api.exportAgain, onSettled: refresh, onError: tell });
  return (
    <section className="section">
      <div className="flex items-baseline justify-between">
        <h2 className="section-title">Files</h2>
        <button type="button" className="text-[12px] text-teal hover:underline" onClick={showFiles}>
          Of all scenes, names, how long …
        </button>
      </div>
      {list.data?.length === 0 && (
        <p className="text-soft">
          Nothing made yet. A file goes on being made when this page is closed.
        </p>
      )}
      <ul className="space-y-2">
        {list.data?.map((e) => (
          <FileRow
            key={e.id}
            file={e}
            onAgain={() => again.mutate(e.id)}
            onRemove={() => remove.mutate(e.id)}
          />
        ))}
      </ul>
    </section>
  );
}

/** So many findings are shown before more are asked for: the formats are to be in sight. */
const FIRST = 2;

/** What Proof finds, looked at once more before a file is made: in the pictures too. */
function BeforeHandOff() {
  const [whole, setWhole] = useState(false);
  const found = useFindings((s) => s.found);
  const pictures = usePictureFindings(true);
  if (!found) return null;
  const all = [...found, ...(pictures.data ?? [])];
  const more = all.length - FIRST;
  return (
    <section className="section" aria-label="Before the hand-off">
      <h2 className="section-title">Before the hand-off</h2>
      <p className="mb-2 text-soft" role="status">
        {pictures.isFetching ? 'Looking at the pictures …' : `Proof: ${countWords(all)}`}
      </p>
      <Findings all={whole ? all : all.slice(0, FIRST)} />
      {more > 0 && (
        <button type="button" className="btn mt-2" onClick={() => setWhole(!whole)}>
          {whole ? 'Only the first' : `${more} more`}
        </button>
      )}
    </section>
  );
}
