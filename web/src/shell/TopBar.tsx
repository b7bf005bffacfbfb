import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { Check, ChevronDown, CircleHelp, Redo2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { redo, undo, useEditor, type Overlays } from '../state/editor';
import { useKeeper, type KeepState } from '../state/keeper';
import { HelpDialog } from './HelpDialog';
import { ProjectSwitcher } from './ProjectSwitcher';

/** Wordmark, project and scene, what is kept, undo, what is shown, help, export. */
export function TopBar() {
  const canUndo = useEditor((s) => s.past.length > 0);
  const canRedo = useEditor((s) => s.future.length > 0);
  const [help, setHelp] = useState(false);
  return (
    <header className="flex h-12 shrink-0 items-center gap-2 border-b border-rule bg-sheet pr-3.5 pl-4">
      <img src="/mark.svg" alt="" className="size-7" />
      <span className="mr-2 font-head text-[17px] font-semibold whitespace-nowrap">
        Roving Glyph
      </span>
      <ProjectSwitcher />
      <div className="ml-auto flex items-center gap-2">
        <KeptWord />
        <button
          type="button"
          className="btn px-2"
          aria-label="Undo"
          title="Undo (Ctrl Z)"
          disabled={!canUndo}
          onClick={undo}
        >
          <Undo2 className="size-4" />
        </button>
        <button
          type="button"
          className="btn px-2"
          aria-label="Redo"
          title="Redo (Ctrl Shift Z)"
          disabled={!canRedo}
          onClick={redo}
        >
          <Redo2 className="size-4" />
        </button>
        <ShowMenu />
        <button type="button" className="btn" onClick={() => setHelp(true)}>
          <CircleHelp className="size-4" /> Help
        </button>
        <button
          type="button"
          className="btn-main"
          onClick={() => useEditor.setState({ tab: 'export' })}
        >
          Export…
        </button>
      </div>
      <HelpDialog open={help} onClose={() => setHelp(false)} />
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
      className={`mr-1 text-[12px] whitespace-nowrap ${quiet ? 'text-soft' : 'font-semibold text-ochre'}`}
    >
      {WORDS[state]}
    </span>
  );
}

const OVERLAYS: { key: keyof Overlays; label: string }[] = [
  { key: 'path', label: 'The path' },
  { key: 'direction', label: 'Its direction' },
  { key: 'thirds', label: 'Thirds of the frame' },
  { key: 'safe', label: 'Safe area' },
];

function ShowMenu() {
  const overlays = useEditor((s) => s.overlays);
  const [dusk, setDusk] = useState(document.documentElement.dataset.theme === 'dusk');
  const toggleDusk = () => {
    document.documentElement.dataset.theme = dusk ? 'day' : 'dusk';
    localStorage.setItem('roving-theme', dusk ? 'day' : 'dusk');
    setDusk(!dusk);
  };
  const tick = (on: boolean) => <Check className={`size-3.5 ${on ? 'text-teal' : 'invisible'}`} />;
  return (
    <Menu>
      <MenuButton className="btn">
        Show <ChevronDown className="size-3.5" />
      </MenuButton>
      <MenuItems anchor="bottom end" className="menu [--anchor-gap:4px]">
        {OVERLAYS.map((o) => (
          <MenuItem key={o.key}>
            <button
              type="button"
              className="menu-item"
              onClick={() =>
                useEditor.setState({ overlays: { ...overlays, [o.key]: !overlays[o.key] } })
              }
            >
              {tick(overlays[o.key])} {o.label}
            </button>
          </MenuItem>
        ))}
        <div className="my-1 border-t border-rule" />
        <MenuItem>
          <button type="button" className="menu-item" onClick={toggleDusk}>
            {tick(dusk)} Dusk: a dim workbench
          </button>
        </MenuItem>
      </MenuItems>
    </Menu>
  );
}
