import { Modal } from '../ui/Modal';

const KEYS: [string, string][] = [
  ['1 to 6', 'Words, Path, Seat, Move, Dress, Export'],
  ['P', 'Play and pause'],
  [', and .', 'One frame back, one frame on'],
  ['K and L', 'Previous and next keyframe'],
  ['F', 'Full frame without overlays'],
  ['Arrow keys', 'Nudge the chosen points or item by 1 px, with Shift by 10'],
  [
    'Shift click',
    'Choose several points or keyframes, as a box drawn round them does; or items, for a group',
  ],
  ['Wheel on the chart', 'Scroll through time, with Ctrl closer and farther'],
  ['Alt with arrows on a chip', 'Reorder the stack; down into a group beside it, up out of one'],
  ['Delete', 'Remove the chosen keyframes, points or items'],
  ['While drawing', 'Enter ends the line, Backspace takes a point back, Esc gives it up'],
  ['Ctrl Z, Ctrl Shift Z', 'Undo, redo'],
  ['?', 'This list'],
];

export function HelpDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal title="Keys and gestures" open={open} onClose={onClose}>
      <dl className="mb-4 grid grid-cols-[9rem_1fr] gap-y-1.5">
        {KEYS.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <p className="mb-4 leading-relaxed text-soft">
        Drag the ring on the path along it to move the words, and across it to lift them off. Drag
        on the name of a number to change it; numbers also take sums (1280/2) and units (40%, 2
        laps). In the Journey, across is distance along the path and down is time: drag a ring down
        for later and across for further, double-click the line for another.
      </p>
      <div className="flex items-center justify-between">
        <a className="text-teal underline" href="/api/docs" target="_blank" rel="noreferrer">
          The interface for scripts
        </a>
        <button type="button" className="btn-main" onClick={onClose}>
          Close
        </button>
      </div>
    </Modal>
  );
}
