import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { Check, ChevronDown, CircleHelp, History, Redo2, ScanEye, Undo2 } from 'lucide-react';
import { redo, undo, useEditor } from '../state/editor';
import { showHelp } from '../state/dialogs';
import { showHistory } from '../state/history';
import { useKeeper, type KeepState } from '../state/autosave';
import { stepName } from '../state/stepNames';
import { useTheme } from '../state/theme';
import { DUSK, OVERLAY_ACTIONS } from './actions';
import { ProjectSwitcher } from './ProjectSwitcher';

/** "Undo: moved a keyframe (Ctrl Z)". */
function withStep(verb: string, step: string, keys: string): string {
  const named = step && `: ${step.charAt(0).toLowerCase()}${step.slice(1)}`;
  return `${verb}${named} (${keys})`;
}

/** Wordmark, project and scene, what is kept, undo, what is shown, help, export. */
export function TopBar() {
  const canUndo = useEditor((s) => s.past.length > 0);
  const canRedo = useEditor((s) => s.future.length > 0);
  const last = useEditor((s) => (canUndo ? stepName(s.doc) : ''));
  const next = useEditor((s) => stepName(s.future[0]));
  return (
    <header className="flex h-12 shrink-0 items-center gap-2 border-b border-rule bg-sheet pr-3.5 pl-4">
      <Mark />
      <span className="mr-2 font-head text-[17px] font-semibold whitespace-nowrap max-[950px]:hidden">
        Roving Glyph
      </span>
      <ProjectSwitcher />
      <div className="ml-auto flex shrink-0 items-center gap-2 max-[700px]:gap-1">
        <KeptWord />
        <button
          type="button"
          className="btn px-2"
          aria-label="Undo"
          title={withStep('Undo', last, 'Ctrl Z')}
          disabled={!canUndo}
          onClick={undo}
        >
          <Undo2 className="size-4" />
        </button>
        <button
          type="button"
          className="btn px-2"
          aria-label="Redo"
          title={withStep('Redo', next, 'Ctrl Shift Z')}
          disabled={!canRedo}
          onClick={redo}
        >
          <Redo2 className="size-4" />
        </button>
        <button
          type="button"
          className="btn px-2"
          aria-label="History"
          title="Everything that was kept of this scene"
          onClick={showHistory}
        >
          <History className="size-4" />
        </button>
        <ShowMenu />
        <button type="button" className="btn" onClick={showHelp}>
          <CircleHelp className="size-4" /> <span className="max-[700px]:sr-only">Help</span>
        </button>
        <button
          type="button"
          className="btn-main max-[480px]:hidden"
          onClick={() => useEditor.setState({ tab: 'export' })}
        >
          Export…
        </button>
      </div>
    </header>
  );
}

const WORDS: Record<KeepState, string> = {
  kept: 'All changes kept',
  keeping: 'Keeping…',
  away: 'Server away: kept in this browser',
  conflict: 'Changed elsewhere',
  refused: 'Not kept: see the message',
};

function KeptWord() {
  const state = useKeeper((s) => s.state);
  const quiet = state === 'kept' || state === 'keeping';
  return (
    <span
      role="status"
      data-testid="kept"
      className={`mr-1 text-[12px] whitespace-nowrap ${quiet ? 'text-soft max-[700px]:sr-only' : 'font-semibold text-ochre'}`}
    >
      {WORDS[state]}
    </span>
  );
}

function ShowMenu() {
  // What is on or off is asked of each when the menu is drawn.
  useEditor((s) => s.overlays);
  useTheme();
  const tick = (on: boolean) => <Check className={`size-3.5 ${on ? 'text-teal' : 'invisible'}`} />;
  return (
    <Menu>
      <MenuButton className="btn">
        <span className="max-[700px]:hidden">Show</span>
        <ScanEye className="size-4 min-[701px]:hidden" aria-label="Show" />
        <ChevronDown className="size-3.5" />
      </MenuButton>
      <MenuItems anchor="bottom end" className="menu [--anchor-gap:4px]">
        {[...OVERLAY_ACTIONS, DUSK].map((a) => (
          <MenuItem key={a.label}>
            <button
              type="button"
              className={`menu-item ${a === DUSK ? 'mt-1 border-t border-rule pt-2' : ''}`}
              onClick={a.run}
            >
              {tick(a.on?.() ?? false)} {a.label}
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}

/** The mark of public/mark.svg in the colours of the theme. */
function Mark() {
  return (
    <svg viewBox="0 0 32 32" className="size-7 shrink-0" aria-hidden="true">
      <path
        d="M3 27C4 13 13 5 29 6"
        fill="none"
        className="stroke-vermilion"
        strokeWidth="2.6"
        strokeLinecap="round"
      />
      <g transform="translate(15.5 20.5) rotate(-16)" className="fill-ink">
        <path
          fillRule="evenodd"
          d="M-.5-9A6 6 0 1 1-.5 3A6 6 0 1 1-.5-9ZM-.5-6.2A3.2 3.2 0 1 0-.5 .2A3.2 3.2 0 1 0-.5-6.2Z"
        />
        <path d="M2.7-8.6H5.7V4.5C5.7 9 2.6 11-.8 11C-3.500 11-5.500 10-6.600 8.200L-4.200 6.500C-3.500 7.700-2.300 8.300-.8 8.300C1.300 8.300 2.700 7.200 2.700 4.500Z" />
      </g>
    </svg>
  );
}
