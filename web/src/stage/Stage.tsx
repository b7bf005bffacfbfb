import { useState } from 'react';
import { useRoomy } from '../shell/layout';
import { useEditor } from '../state/editor';
import { countWords, useFindings, useProof } from '../state/proof';
import { Picture } from './Picture';
import { Poses } from './Poses';
import { ProofList } from './ProofList';
import { dropOnStage } from './pictureDrop';
import { StackStrip } from './StackStrip';
import { Transport } from './Transport';

/** The middle column: stack, picture, transport, poses, proof. */
export function StageColumn() {
  const full = useEditor((s) => s.full);
  const roomy = useRoomy();
  useProof();
  return (
    <main
      className={`flex min-w-0 flex-1 flex-col bg-surround px-2.5 pt-1 pb-2 ${roomy ? '' : 'overflow-y-auto'}`}
      aria-label="Stage"
      onDrop={dropOnStage}
    >
      {!full && <StackStrip />}
      <Picture />
      <Transport />
      {!full && <Below roomy={roomy} />}
    </main>
  );
}

/** Poses and Proof; where the stage would be too small beside them, only once they are asked for. */
function Below({ roomy }: { roomy: boolean }) {
  const [open, setOpen] = useState(false);
  const found = useFindings((s) => s.found);
  const shown = roomy || open;
  return (
    <div className="flex max-h-[34%] min-h-0 shrink-0 flex-col gap-2 overflow-y-auto">
      {!roomy && (
        <button
          type="button"
          className="btn w-full justify-between"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          Poses and Proof
          <span className="font-normal text-soft">{found && countWords(found)}</span>
        </button>
      )}
      {shown && <Poses />}
      {shown && <ProofList />}
    </div>
  );
}
