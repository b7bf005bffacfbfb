import { useQuery } from '@tanstack/react-query';
import { Copy } from 'lucide-react';
import { useState } from 'react';
import { api, snippetPath, type ExportChoices } from '../api/client';
import { useEditor } from '../state/editor';
import { useTryOut } from '../state/handOff';
import { Modal } from '../ui/Modal';

const close = () => useTryOut.setState({ choices: null });

/** The web snippet as it plays on a plain page, in three widths, with the code to copy. */
export function TryOutDialog() {
  const choices = useTryOut((s) => s.choices);
  return (
    <Modal title="Web snippet" open={choices !== null} onClose={close} wide>
      {choices && <TryOut choices={choices} />}
    </Modal>
  );
}

/** So much of the code is shown: outlines go on for long. */
const SHOWN = 4000;

function TryOut({ choices }: { choices: ExportChoices }) {
  const scene = useEditor((s) => s.sceneId) ?? '';
  const opened = useEditor((s) => s.opened);
  const [copied, setCopied] = useState(false);
  const code = useQuery({
    queryKey: ['snippet', scene, opened, choices],
    queryFn: () => api.snippet(scene, choices),
    retry: false,
  });
  const text = code.data?.code ?? '';
  const copy = () => void navigator.clipboard.writeText(text).then(() => setCopied(true));
  return (
    <div className="flex h-[70vh] min-h-0 flex-col gap-3">
      <iframe
        title="The snippet on a page"
        sandbox="allow-scripts"
        className="min-h-0 w-full flex-1 rounded-md border border-rule bg-white"
        src={snippetPath(scene, 'try-out', choices)}
      />
      <div className="flex items-center gap-3">
        <button type="button" className="btn-main" disabled={!text} onClick={copy}>
          <Copy className="size-4" /> Copy the code
        </button>
        <span role="status" className="text-[12px] text-soft">
          {code.isError
            ? code.error.message
            : copied
              ? 'Copied: paste it where it is to be seen.'
              : 'It takes the width of its place. --roving-speed on it changes its speed.'}
        </span>
      </div>
      <pre
        className="max-h-28 shrink-0 overflow-auto rounded-md bg-paper p-2 text-[11px] break-all whitespace-pre-wrap"
        role="region"
        tabIndex={0}
        aria-label="The code"
      >
        {text.length > SHOWN ? `${text.slice(0, SHOWN)} …` : text}
      </pre>
    </div>
  );
}
