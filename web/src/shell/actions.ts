import { pause, play, shuttle } from '../stage/playback';
import { goToKeyframe, stepFrame } from '../stage/Transport';
import { chartedOf } from '../state/channels';
import {
  copyChosen,
  cutChosen,
  duplicate,
  pasteHere,
  pasteLook,
  pasteMotion,
} from '../state/clipboard';
import { showFind, showHelp } from '../state/dialogs';
import {
  pathOf,
  applyEdit,
  redo,
  TAB_NAMES,
  TABS,
  takePointBack,
  undo,
  useEditor,
  type Overlays,
} from '../state/editor';
import { addGuide } from '../state/guides';
import { showFiles, showSeries } from '../state/handOff';
import { saveProjectFile, showOpenProject } from '../state/projectFile';
import { showHistory } from '../state/history';
import { groupOf, itemOf } from '../state/items';
import { rename } from '../state/renaming';
import {
  addColourField,
  addFollowers,
  cueHere,
  addLettering,
  addOnThisPath,
  addReadyPiece,
  groupChosen,
  PIECES,
  removeItems,
  restack,
  ungroup,
} from '../state/itemActions';
import { chooseFootage, choosePictures } from '../stage/pictureDrop';
import { canZoomToChosen, fit, zoomStep, zoomTo, zoomToChosen } from '../stage/view';
import { deletePoints, finishDrawing, giveUpDrawing } from '../state/paths';
import { playAll, playFromHere, playToHere } from '../state/range';
import { toggleDusk, useTheme } from '../state/theme';
import { toggleFrames, useTimeUnit } from '../state/timeUnit';
import { chosenWith, setShown, toggleFlag } from '../state/values';

/** Something that can be done: the keys, the menus, the help and the list to find it in come from this. */
export interface Action {
  /** What it does, as it stands in lists. */
  label: string;
  group: 'Play' | 'Edit' | 'Items' | 'Go to' | 'Show' | 'Look' | 'While drawing';
  /** As {@link KeyboardEvent.key} has them, letters in lower case; with Ctrl as "ctrl+z"; Space by name. */
  keys?: string[];
  run: () => void;
  /** Whether there is something to do it to; always, where this is left out. */
  when?: () => boolean;
  /** Of what is on or off. */
  on?: () => boolean;
}

const state = () => useEditor.getState();
const chosen = () => itemOf(state().doc, state().selected);
const id = () => state().selected ?? '';
const drawing = () => state().drawing !== null;

const OVERLAYS: Record<keyof Overlays, string> = {
  path: 'The path',
  direction: 'Its direction',
  tenths: 'Ticks every 10 %',
  length: 'Its length',
  room: 'The room between margins',
  comb: 'How it bends',
  tight: 'Bends too tight for the type',
  others: 'Other paths',
  keys: 'Where what is chosen is at its keyframes',
  beyond: 'What is chosen, beyond the frame',
  template: 'Pictures to trace over',
  rulers: 'Rulers: drag guides out of them',
  guides: 'Guides',
  thirds: 'Thirds of the frame',
  safe: 'Safe area',
  cut: 'A chosen cut, the rest dimmed',
};

/** What the stage shows over the picture, each on or off. */
export const OVERLAY_ACTIONS: Action[] = Object.entries(OVERLAYS).map(([key, label]) => ({
  label,
  group: 'Show',
  run: () =>
    useEditor.setState((s) => ({
      overlays: { ...s.overlays, [key]: !s.overlays[key as keyof Overlays] },
    })),
  on: () => state().overlays[key as keyof Overlays],
}));

export const DUSK: Action = {
  label: 'Dusk: a dim workbench',
  group: 'Show',
  run: toggleDusk,
  on: () => useTheme.getState().dusk,
};

/** How large the frame is seen, and what of it. */
export const VIEW_ACTIONS: Action[] = [
  { label: 'See all of the frame', group: 'Look', keys: ['0'], run: fit },
  {
    label: 'See what is chosen',
    group: 'Look',
    keys: ['c'],
    run: zoomToChosen,
    when: canZoomToChosen,
  },
  { label: 'Go closer', group: 'Look', keys: ['+', '='], run: () => zoomStep(1) },
  { label: 'Go farther off', group: 'Look', keys: ['-'], run: () => zoomStep(-1) },
  { label: '50 %', group: 'Look', run: () => zoomTo(0.5) },
  { label: '100 %, pixel for pixel', group: 'Look', keys: ['9'], run: () => zoomTo(1) },
  { label: '200 %', group: 'Look', run: () => zoomTo(2) },
  { label: '400 %', group: 'Look', run: () => zoomTo(4) },
];

const isChosen = () => chosen() !== undefined;

/** What can be done with what is chosen; the menu on it lists these. */
export const CHOSEN_ACTIONS: Action[] = [
  { label: 'Copy', group: 'Items', keys: ['ctrl+c'], run: copyChosen, when: isChosen },
  { label: 'Cut', group: 'Items', keys: ['ctrl+x'], run: cutChosen, when: isChosen },
  { label: 'Duplicate', group: 'Items', keys: ['ctrl+d'], run: duplicate, when: isChosen },
  {
    label: 'Add two copies that come after',
    group: 'Items',
    run: () => addFollowers(id()),
    when: () => chosen()?.kind === 'lettering',
  },
  {
    label: 'Rename the chosen item',
    group: 'Items',
    keys: ['F2'],
    run: () => rename(id()),
    when: isChosen,
  },
  {
    label: 'Hide or show the chosen item',
    group: 'Items',
    run: () => toggleFlag(id(), 'hidden'),
    when: isChosen,
  },
  {
    label: 'Lock or unlock the chosen item',
    group: 'Items',
    run: () => toggleFlag(id(), 'locked'),
    when: isChosen,
  },
  {
    label: 'Make a group of what is chosen',
    group: 'Items',
    run: groupChosen,
    when: isChosen,
  },
  {
    label: 'Take the group apart',
    group: 'Items',
    run: () => ungroup(id()),
    when: () => groupOf(state().doc, id()) !== undefined,
  },
  {
    label: 'Bring the chosen item to the top',
    group: 'Items',
    run: () => restack(id()),
    when: isChosen,
  },
  {
    label: 'Add words on the same path',
    group: 'Items',
    run: addOnThisPath,
    when: () => pathOf(state()) !== undefined,
  },
];

export const PASTE_ACTIONS: Action[] = [
  { label: 'Paste', group: 'Items', keys: ['ctrl+v'], run: pasteHere },
  { label: 'Paste only how it moves', group: 'Items', run: pasteMotion, when: isChosen },
  { label: 'Paste only how it looks', group: 'Items', run: pasteLook, when: isChosen },
];

export const ACTIONS: Action[] = [
  ...TABS.map((tab, i): Action => ({
    label: TAB_NAMES[tab],
    group: 'Go to',
    keys: [String(i + 1)],
    run: () => useEditor.setState({ tab }),
  })),
  { label: 'History of the scene', group: 'Go to', run: showHistory },
  { label: 'Files of all scenes', group: 'Go to', run: showFiles },
  { label: 'A series from a table', group: 'Go to', run: showSeries },
  {
    label: 'Save the project as a file',
    group: 'Go to',
    run: () => void saveProjectFile(state().projectId ?? ''),
  },
  { label: 'Open a project file', group: 'Go to', run: showOpenProject },
  { label: 'Find something to do', group: 'Go to', keys: ['ctrl+k'], run: showFind },
  { label: 'Keys and gestures', group: 'Go to', keys: ['?'], run: showHelp },
  {
    label: 'Play and pause',
    group: 'Play',
    keys: ['Space', 'p'],
    run: () => (state().playing ? pause() : play()),
  },
  { label: 'Play backwards, then faster', group: 'Play', keys: ['j'], run: () => shuttle(-1) },
  { label: 'Stop', group: 'Play', keys: ['k'], run: pause },
  { label: 'Play, then faster', group: 'Play', keys: ['l'], run: () => shuttle(1) },
  { label: 'One frame back', group: 'Play', keys: [','], run: () => stepFrame(-1) },
  { label: 'One frame on', group: 'Play', keys: ['.'], run: () => stepFrame(1) },
  { label: 'Set a cue at the playhead', group: 'Play', keys: ['q'], run: cueHere },
  { label: 'Previous keyframe', group: 'Play', keys: ['u'], run: () => goToKeyframe(-1) },
  { label: 'Next keyframe', group: 'Play', keys: ['o'], run: () => goToKeyframe(1) },
  {
    label: 'Play in a loop',
    group: 'Play',
    run: () => useEditor.setState((s) => ({ loop: !s.loop })),
    on: () => state().loop,
  },
  { label: 'Play only from here', group: 'Play', keys: ['('], run: playFromHere },
  { label: 'Play only up to here', group: 'Play', keys: [')'], run: playToHere },
  {
    label: 'Play all of the scene',
    group: 'Play',
    run: playAll,
    when: () => state().range !== null,
  },
  {
    label: 'Times in frames, not in seconds',
    group: 'Show',
    run: toggleFrames,
    on: () => useTimeUnit.getState().frames,
  },
  {
    label: 'Undo',
    group: 'Edit',
    keys: ['ctrl+z'],
    run: undo,
    when: () => state().past.length > 0 || drawing(),
  },
  {
    label: 'Redo',
    group: 'Edit',
    keys: ['ctrl+shift+z'],
    run: redo,
    when: () => state().future.length > 0,
  },
  {
    label: 'Remove the chosen keyframes, points or items',
    group: 'Edit',
    keys: ['Delete', 'Backspace'],
    run: remove,
  },
  { label: 'Choose no keyframe and no point', group: 'Edit', keys: ['Escape'], run: letGo },
  { label: 'Add a lettering', group: 'Items', run: addLettering },
  ...PIECES.map((p): Action => ({
    label: `Add a ready piece: ${p.label.toLowerCase()}`,
    group: 'Items',
    run: () => addReadyPiece(p.piece),
  })),
  { label: 'Add pictures from files', group: 'Items', run: choosePictures },
  { label: 'Add footage from files', group: 'Items', run: chooseFootage },
  { label: 'Add an upright guide', group: 'Show', run: () => addGuide(true) },
  { label: 'Add a level guide', group: 'Show', run: () => addGuide(false) },
  { label: 'Add a colour field', group: 'Items', run: addColourField },
  ...PASTE_ACTIONS,
  ...CHOSEN_ACTIONS,
  {
    label: 'Show the chosen items from the playhead on',
    group: 'Items',
    run: () => setShown(id(), { from: state().time }),
    when: isChosen,
  },
  {
    label: 'Show the chosen items up to the playhead',
    group: 'Items',
    run: () => setShown(id(), { to: state().time }),
    when: isChosen,
  },
  {
    label: 'Full frame without overlays',
    group: 'Show',
    keys: ['f'],
    run: () => useEditor.setState((s) => ({ full: !s.full })),
    on: () => state().full,
  },
  ...VIEW_ACTIONS,
  ...OVERLAY_ACTIONS,
  DUSK,
];

/** While a line is being drawn these keys are about that line; of the others a few stay. */
export const DRAWING_ACTIONS: Action[] = [
  {
    label: 'End the line',
    group: 'While drawing',
    keys: ['Enter'],
    run: () => finishDrawing(false),
  },
  { label: 'Give the line up', group: 'While drawing', keys: ['Escape'], run: giveUpDrawing },
  {
    label: 'Take a point back',
    group: 'While drawing',
    keys: ['Delete', 'Backspace'],
    run: takePointBack,
  },
  ...ACTIONS.filter((a) => a.keys?.some((k) => /^([0-9?+=-]|ctrl\+(shift\+)?z)$/.test(k))),
];

/** The key of an event as the table writes it. */
export function keyOf(e: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey'>): string {
  const key = e.key === ' ' ? 'Space' : e.key.length === 1 ? e.key.toLowerCase() : e.key;
  if (!e.ctrlKey && !e.metaKey) return key;
  return `ctrl+${e.shiftKey ? 'shift+' : ''}${key}`;
}

/** Does the action of a key; false where there is none. */
export function runKey(key: string): boolean {
  const action = (drawing() ? DRAWING_ACTIONS : ACTIONS).find((a) => a.keys?.includes(key));
  if (!action) return false;
  if (action.when?.() ?? true) action.run();
  return true;
}

function remove(): void {
  const { keyframe, keys, points, selected, tab } = state();
  const indexes = keys.length > 0 ? keys : keyframe !== null ? [keyframe] : [];
  if (indexes.length > 0 && selected) {
    applyEdit({ op: 'removeKeys', item: selected, channel: chartedOf(state()), indexes });
    useEditor.setState({ keyframe: null, keys: [] });
  } else if (points.length > 0 && tab === 'path') deletePoints();
  else if (selected) removeItems(chosenWith(selected));
}

function letGo(): void {
  useEditor.setState({ full: false, keyframe: null, keys: [], points: [], pickStart: false });
}
