import type { ReactNode } from 'react';

interface Props {
  label: string;
  onClick: () => void;
  children: ReactNode;
  pressed?: boolean;
  disabled?: boolean;
}

/** A small button that shows an icon only; its label is told on hover and to those who listen. */
export function IconButton({ label, onClick, children, pressed, disabled }: Props) {
  return (
    <button
      type="button"
      className={`flex size-6 shrink-0 items-center justify-center rounded-md hover:bg-wash ${
        pressed ? 'bg-wash text-teal' : 'text-soft hover:text-ink'
      }`}
      title={label}
      aria-label={label}
      aria-pressed={pressed}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
