import { Modal } from '../../ui/Modal';

interface Props {
  /** Of what is asked about; nothing is asked without one. */
  name: string | undefined;
  /** Where it is shown, in words. */
  shown: string;
  onClose: () => void;
  onTakeOut: () => void;
}

/** Asks before something that scenes show is taken out of the project's list. */
export function TakeOut({ name, shown, onClose, onTakeOut }: Props) {
  return (
    <Modal
      title={`Take ${name ?? 'it'} out of this project?`}
      open={name !== undefined}
      onClose={onClose}
    >
      <p className="mb-4 leading-relaxed">
        {shown}. It stays there, and goes from this list; it can be added again from its file.
      </p>
      <div className="flex justify-end gap-2">
        <button type="button" className="btn" onClick={onClose}>
          Leave it
        </button>
        <button
          type="button"
          className="btn-main"
          onClick={() => {
            onTakeOut();
            onClose();
          }}
        >
          Take it out
        </button>
      </div>
    </Modal>
  );
}
