import { resolveConflict, useKeeper } from '../state/autosave';
import { Modal } from '../ui/Modal';

/** Somebody else kept another version first: whose stands? */
export function ConflictDialog() {
  const theirs = useKeeper((s) => s.theirs);
  const when = theirs ? new Date(theirs.savedAt).toLocaleTimeString() : '';
  return (
    <Modal title="This scene was changed elsewhere" open={theirs !== null} onClose={() => {}}>
      <p className="mb-4 leading-relaxed">
        Another tab or another person kept a version at {when}, after you opened yours. Choose which
        one stands. Nothing is lost: theirs stays in the History, and yours can be had back with
        Undo.
      </p>
      <div className="flex justify-end gap-2">
        <button type="button" className="btn" onClick={() => resolveConflict(false)}>
          Take the other version
        </button>
        <button type="button" className="btn-main" onClick={() => resolveConflict(true)}>
          Keep my version
        </button>
      </div>
    </Modal>
  );
}
