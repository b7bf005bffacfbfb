import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Download, X } from 'lucide-react';
import { useState } from 'react';
import { api, type ExportStatus } from '../api/client';
import { useEditor } from '../state/editor';
import { useKeeper } from '../state/autosave';
import { notify } from '../state/notices';
import { momentWords } from '../shell/moments';
import { rateLabel } from '../stage/time';
import { Findings } from '../stage/ProofList';
import { countWords, useFindings, usePictureFindings } from '../state/proof';
import { FormatCard } from './FormatCard';

/** The hand-off formats, and the files made so far. */
export function ExportSheet() {
  const sceneId = useEditor((s) => s.sceneId);
  const doc = useEditor((s) => s.doc);
  const frames = useEditor((s) => s.summary?.frames ?? 0);
  const opened = useEditor((s) => s.opened);
  const kept = useKeeper((s) => s.state === 'kept');
  const client = useQueryClient();
  const list = useQuery({
    queryKey: ['exports', sceneId],
    queryFn: () => api.exports(sceneId ?? ''),
    enabled: sceneId !== null,
    refetchInterval: (q) => (q.state.data?.some(isBusy) ? 400 : 5000),
  });
  const refresh = () => client.invalidateQueries({ queryKey: ['exports', sceneId] });
  const formats = useQuery({
    // What each makes of the scene is asked anew for every version that is kept.
    queryKey: ['export-formats', sceneId, opened],
    queryFn: () => api.exportFormats(sceneId ?? ''),
    enabled: sceneId !== null && kept,
    placeholderData: keepPreviousData,
  });
  const begin = useMutation({
    mutationFn: ({ format, options }: { format: string; options: Record<string, number> }) =>
      api.createExport(sceneId ?? '', format, options),
    onSuccess: refresh,
    onError: (e) => notify(e.message, 'error'),
  });
  const remove = useMutation({ mutationFn: api.removeExport, onSettled: refresh });
  if (!doc) return null;

  return (
    <>
      <BeforeHandOff />
      <section className="section space-y-2">
        <p className="text-[12px] text-soft">
          {doc.width} × {doc.height}, {frames} frames at {rateLabel(doc.rate)} fps
        </p>
        {formats.data?.map((f) => (
          <FormatCard
            key={f.id}
            format={f}
            disabled={!kept}
            onMake={(options) => begin.mutate({ format: f.id, options })}
          />
        ))}
        {formats.isError && !formats.data && (
          <p className="text-soft">The server cannot be reached: no file can be made now.</p>
        )}
        {!kept && (
          <p className="text-[12px] text-soft">One moment: the latest changes are being kept.</p>
        )}
      </section>
      <section className="section">
        <h2 className="section-title">Files</h2>
        {list.data?.length === 0 && (
          <p className="text-soft">
            Nothing made yet. A video goes on being made when this page is closed.
          </p>
        )}
        <ul className="space-y-2">
          {list.data?.map((e) => (
            <FileRow key={e.id} file={e} onRemove={() => remove.mutate(e.id)} />
          ))}
        </ul>
      </section>
    </>
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

const isBusy = (e: ExportStatus) => e.state === 'waiting' || e.state === 'running';

function FileRow({ file, onRemove }: { file: ExportStatus; onRemove: () => void }) {
  const busy = isBusy(file);
  const share = file.framesTotal > 0 ? file.framesDone / file.framesTotal : 0;
  return (
    <li className="rounded-lg bg-paper p-2.5">
      <div className="flex items-center gap-2">
        <span className="min-w-0 flex-1 font-medium break-words">{file.fileName}</span>
        <button
          type="button"
          className="p-0.5 text-soft hover:text-ink"
          aria-label={busy ? `Cancel ${file.fileName}` : `Remove ${file.fileName} from the list`}
          title={busy ? 'Cancel' : 'Remove from the list'}
          onClick={onRemove}
        >
          <X className="size-4" />
        </button>
      </div>
      {busy && (
        <>
          <div
            role="progressbar"
            aria-label="Progress"
            aria-valuenow={Math.round(share * 100)}
            className="mt-1.5 mb-1 h-1.5 overflow-hidden rounded-full bg-rule"
          >
            <div className="h-full bg-teal" style={{ width: `${share * 100}%` }} />
          </div>
          <p className="text-[12px] text-soft">
            {file.state === 'waiting'
              ? (file.waitsFor ?? 'Waiting for its turn')
              : `Frame ${file.framesDone} of ${file.framesTotal}${left(file.secondsLeft)}`}
          </p>
        </>
      )}
      <p className="text-[12px] text-soft">Asked for {momentWords(file.askedAt)}</p>
      {file.state === 'done' && file.message && (
        <p className="mt-1 text-[12px] leading-snug text-ochre">{file.message}</p>
      )}
      {file.state === 'done' && (
        <a className="btn mt-1.5" href={`/api/exports/${file.id}/file`} download={file.fileName}>
          <Download className="size-4" /> Download {bytes(file.size ?? 0)}
        </a>
      )}
      {file.state === 'cancelled' && <p className="text-[12px] text-soft">Cancelled</p>}
      {file.state === 'failed' && (
        <p className="text-[12px] break-words text-vermilion" role="alert">
          It could not be made: {file.message}
        </p>
      )}
    </li>
  );
}

function left(seconds: number | null): string {
  return seconds === null ? '' : `, about ${Math.max(1, Math.round(seconds))} s left`;
}

function bytes(n: number): string {
  return n < 1e6 ? `${Math.max(1, Math.round(n / 1e3))} kB` : `${(n / 1e6).toFixed(1)} MB`;
}
