import type { RefObject } from 'react';

interface Props {
  /** Its {@code click()} opens the browser's own dialog. */
  input: RefObject<HTMLInputElement | null>;
  accept: string;
  testId: string;
  /** Whether several can be chosen at once. */
  multiple?: boolean;
  onFile: (file: File) => void;
}

/** The unseen part of a button that takes in a file; the same file can be taken again. */
export function FileInput({ input, accept, testId, multiple, onFile }: Props) {
  return (
    <input
      ref={input}
      type="file"
      accept={accept}
      multiple={multiple}
      className="hidden"
      data-testid={testId}
      onChange={(e) => {
        const files = [...(e.target.files ?? [])];
        e.target.value = '';
        files.forEach(onFile);
      }}
    />
  );
}
