import { X } from 'lucide-react';
import { dismiss, useNotices } from '../state/notices';

/** Short notices over the stage, read out as they come. */
export function Notices() {
  const notices = useNotices((s) => s.notices);
  return (
    <div
      className="pointer-events-none fixed inset-x-0 bottom-4 z-50 flex flex-col items-center gap-2"
      aria-live="polite"
    >
      {notices.map((n) => (
        <div
          key={n.id}
          role={n.tone === 'error' ? 'alert' : 'status'}
          className={`pointer-events-auto flex max-w-[560px] items-center gap-3 rounded-lg border bg-sheet py-2 pr-2 pl-3 shadow-lg ${
            n.tone === 'error' ? 'border-vermilion' : 'border-rule'
          }`}
        >
          <span className="min-w-0 break-words">{n.text}</span>
          {n.action && (
            <button
              type="button"
              className="btn"
              onClick={() => {
                n.action?.run();
                dismiss(n.id);
              }}
            >
              {n.action.label}
            </button>
          )}
          <button
            type="button"
            aria-label="Dismiss"
            className="p-1 text-soft"
            onClick={() => dismiss(n.id)}
          >
            <X className="size-4" />
          </button>
        </div>
      ))}
    </div>
  );
}
