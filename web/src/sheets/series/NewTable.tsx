import { useRef, useState } from 'react';
import { FileInput } from '../../ui/FileInput';

interface Props {
  onTable: (table: Blob) => Promise<void>;
  /** To the table that there is, where there is one. */
  onBack: (() => void) | undefined;
}

/** A table for a scene: a file, or what was copied out of a spreadsheet. */
export function NewTable({ onTable, onBack }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const take = (table: Blob) => {
    setProblem(null);
    onTable(table).catch((e: unknown) => setProblem(e instanceof Error ? e.message : String(e)));
  };
  return (
    <div
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const file = e.dataTransfer.files[0];
        if (file) take(file);
      }}
    >
      <p className="mb-3 max-w-xl text-soft">
        Every row of a table becomes a piece of its own: the scene with other words, colours,
        typefaces, pictures or numbers. The first row names what is in the columns, by the names of
        items (“Title”), or by what they are (“Words”, “Colour”); you can choose it afterwards, too.
      </p>
      <textarea
        className="field h-44 w-full font-mono"
        aria-label="The table"
        placeholder={'Paste cells out of a spreadsheet:\n\nTitle\tColour\nThe tide is low\t#0F6B69'}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <div className="mt-3 flex items-center gap-2">
        <button
          type="button"
          className="btn-main"
          disabled={!text.trim()}
          onClick={() => take(new Blob([text]))}
        >
          Use this table
        </button>
        <button type="button" className="btn" onClick={() => input.current?.click()}>
          Choose a file
        </button>
        {onBack && (
          <button type="button" className="btn" onClick={onBack}>
            Keep the one there is
          </button>
        )}
        <span className="text-soft">CSV or text with tabs, or drop one here</span>
        <FileInput
          input={input}
          accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values"
          testId="series-file"
          onFile={take}
        />
      </div>
      {problem && (
        <p role="alert" className="mt-3 break-words text-vermilion">
          {problem}
        </p>
      )}
    </div>
  );
}
