import { Download, RefreshCw, X } from 'lucide-react';
import type { ExportStatus } from '../../api/client';
import { momentWords } from '../../shell/moments';
import { bytesWords } from './words';

export const isBusy = (e: ExportStatus) => e.state === 'waiting' || e.state === 'running';

interface Props {
  file: ExportStatus;
  onAgain: () => void;
  onRemove: () => void;
}

/** A file that was asked for: how far it is, and what can be done with it. */
export function FileRow({ file, onAgain, onRemove }: Props) {
  const busy = isBusy(file);
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
      <FileState file={file} />
      <p className="text-[12px] text-soft">
        Asked for {momentWords(file.askedAt)}
        {file.choices && ` · ${file.choices}`}
      </p>
      {!busy && (
        <div className="mt-1.5 flex gap-1.5">
          {file.state === 'done' && <DownloadLink file={file} />}
          <button
            type="button"
            className="btn"
            aria-label={`Make ${file.fileName} again`}
            title="Make it again, of the scene as it is now"
            onClick={onAgain}
          >
            <RefreshCw className="size-4" />
          </button>
        </div>
      )}
    </li>
  );
}

export function DownloadLink({ file }: { file: ExportStatus }) {
  return (
    <a className="btn" href={`/api/exports/${file.id}/file`} download={file.fileName}>
      <Download className="size-4" /> Download {bytesWords(file.size ?? 0)}
    </a>
  );
}

/** How far it is, what it is not, or why it could not be made. */
export function FileState({ file }: { file: ExportStatus }) {
  const share = file.framesTotal > 0 ? file.framesDone / file.framesTotal : 0;
  return (
    <>
      {isBusy(file) && (
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
      {file.state === 'done' && file.message && (
        <p className="mt-1 text-[12px] leading-snug text-ochre">{file.message}</p>
      )}
      {file.state === 'cancelled' && <p className="text-[12px] text-soft">Cancelled</p>}
      {file.state === 'failed' && (
        <p className="text-[12px] break-words text-vermilion" role="alert">
          It could not be made: {file.message}
        </p>
      )}
    </>
  );
}

function left(seconds: number | null): string {
  return seconds === null ? '' : `, about ${Math.max(1, Math.round(seconds))} s left`;
}
