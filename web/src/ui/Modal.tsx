import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';

interface Props {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
  /** For what needs more room than a few lines. */
  wide?: boolean;
}

/** A dialog in the middle of the window. */
export function Modal({ title, open, onClose, children, wide = false }: Props) {
  return (
    <Dialog open={open} onClose={onClose} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-ink/30" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel
          className={`max-h-full w-full overflow-auto rounded-[9px] border border-rule bg-sheet p-5 shadow-xl ${
            wide ? 'max-w-4xl' : 'max-w-md'
          }`}
        >
          <DialogTitle className="mb-3 font-head text-[17px] font-semibold">{title}</DialogTitle>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  );
}
