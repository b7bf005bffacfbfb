import type { RefObject } from 'react';

interface Props {
  /** Its {@code click()} opens the browser's own dialog. */
  input: RefObject<HTMLInputElement | null>;
  accept: string;
  testId: string;
  onFile: (file: File) => void;
}

/** The unseen part of a button that takes in a file; the same file can be taken again. */
export function FileInput({ input, accept, testId, onFile }: Props) {
  return (
    <input
      ref={input}
      type="file"
      accept={accept}
      className="hidden"
      data-testid={testId}
      onChange={(e) => {
        const file = e.target.files?.[0];
        e.target.value = '';
        if (file) onFile(file);
      }}
    />
  );
}
