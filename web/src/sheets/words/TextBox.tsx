import type { Lettering } from '../../core/document';
import { endGesture } from '../../state/editor';
import { changeLettering } from '../../state/values';

/** Characters of a text at most; the core refuses more. */
const LONGEST = 10_000;

interface Props {
  lettering: Lettering;
  id?: string;
  label?: string;
  className?: string;
  rows?: number;
  onBlur?: () => void;
  onKeyDown?: (e: React.KeyboardEvent) => void;
}

/** The words of a lettering, to be written. */
export function TextBox({ lettering, id, label, className, rows = 3, onBlur, onKeyDown }: Props) {
  return (
    <>
      <textarea
        id={id}
        aria-label={label}
        className={`field h-auto py-1.5 text-[15px] leading-snug ${className ?? ''}`}
        rows={rows}
        maxLength={LONGEST}
        value={lettering.text}
        placeholder="Type the words here; every line is a phrase of its own"
        onChange={(e) =>
          changeLettering(lettering.id, { text: e.target.value }, `text.${lettering.id}`)
        }
        onBlur={() => {
          endGesture();
          onBlur?.();
        }}
        onKeyDown={onKeyDown}
      />
      {lettering.text.length > 0.9 * LONGEST && (
        <p className="mt-1 text-[12px] text-soft">
          {lettering.text.length} of {LONGEST} characters
        </p>
      )}
    </>
  );
}
