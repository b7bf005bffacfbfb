import { useEditor } from '../state/editor';
import { Picture } from './Picture';
import { Poses } from './Poses';
import { ProofList } from './ProofList';
import { dropOnStage } from './pictureDrop';
import { StackStrip } from './StackStrip';
import { Transport } from './Transport';

/** The middle column: stack, picture, transport, poses, proof. */
export function StageColumn() {
  const full = useEditor((s) => s.full);
  return (
    <main
      className="flex min-w-0 flex-1 flex-col bg-surround px-2.5 pt-1 pb-2"
      aria-label="Stage"
      onDrop={dropOnStage}
    >
      {!full && <StackStrip />}
      <Picture />
      <Transport />
      {!full && (
        <div className="flex max-h-[34%] min-h-0 shrink-0 flex-col gap-2 overflow-y-auto">
          <Poses />
          <ProofList />
        </div>
      )}
    </main>
  );
}
