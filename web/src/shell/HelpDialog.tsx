import { closeDialog, useDialogs } from '../state/dialogs';
import { Modal } from '../ui/Modal';
import { ACTIONS, DRAWING_ACTIONS } from './actions';
import { keyWords } from '../ui/keyWords';

/** What the pointer does, and keys that go with it. */
const GESTURES: [string, string][] = [
  [
    'Arrow keys',
    'Nudge the chosen points or item by 1 px, with Shift by 10; with nothing chosen a frame back or on',
  ],
  [
    'Drag on the stage',
    'Words along their path, anything else once it is chosen; elsewhere a box that chooses what lies in it',
  ],
  ['Shift click', 'Choose several items, points or keyframes'],
  ['Double click on words', 'Write them in their place'],
  ['Right click, or the menu key', 'What can be done with an item, path, point, keyframe or scene'],
  ['Drag out of a ruler', 'A guide; dragged off the stage it is gone'],
  ['Wheel on the stage', 'Move the picture, with Ctrl closer and farther'],
  ['Space or the middle button, drag', 'Move the picture'],
  ['Wheel on the chart', 'Scroll through time, with Ctrl closer and farther'],
  ['Alt with arrows on a chip', 'Reorder the stack; down into a group beside it, up out of one'],
];

const drawn = DRAWING_ACTIONS.filter((a) => a.group === 'While drawing');
const KEYS: [string, string][] = [
  ...ACTIONS.flatMap((a): [string, string][] =>
    a.keys ? [[a.keys.map(keyWords).join(', '), a.label]] : [],
  ),
  ...GESTURES,
  ...drawn.map((a): [string, string] => [
    (a.keys ?? []).map(keyWords).join(', '),
    `${a.label}, while drawing`,
  ]),
];

export function HelpDialog() {
  const open = useDialogs((s) => s.open === 'help');
  return (
    <Modal title="Keys and gestures" open={open} onClose={closeDialog} wide>
      <dl className="mb-4 gap-x-8 sm:columns-2">
        {KEYS.map(([key, what]) => (
          <div key={`${key} ${what}`} className="flex break-inside-avoid gap-3 py-0.5">
            <dt className="w-36 shrink-0 font-semibold">{key}</dt>
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
        <a className="mr-auto ml-5 text-teal underline" href="/api/notices" target="_blank">
          What it is built of
        </a>
        <button type="button" className="btn-main" onClick={closeDialog}>
          Close
        </button>
      </div>
    </Modal>
  );
}
