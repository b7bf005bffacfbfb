import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { VIEW_ACTIONS } from '../shell/actions';
import { useView, type Standing } from './view';
import { keyWords } from '../ui/keyWords';

/** How large the frame is seen, and what it can be brought to. */
export function ZoomMenu({ frame }: { frame: Standing }) {
  const fits = useView((s) => s.zoom === null);
  const percent = Math.round(frame.scale * (window.devicePixelRatio || 1) * 100);
  return (
    <Menu>
      <MenuButton
        className="flex shrink-0 items-center whitespace-nowrap gap-1 rounded-md px-1 py-0.5 tabular-nums hover:text-ink"
        title="How large the frame is seen: Ctrl with the wheel zooms, the wheel moves it"
      >
        {fits ? `Fits, ${percent} %` : `${percent} %`}
        <ChevronDown className="size-3.5" />
      </MenuButton>
      <MenuItems anchor="bottom end" className="menu [--anchor-gap:4px]">
        <Entries />
      </MenuItems>
    </Menu>
  );
}

/** Drawn only while the menu is open: what can be done is asked then. */
function Entries() {
  return (
    <>
      {VIEW_ACTIONS.map((a) => (
        <MenuItem key={a.label} disabled={a.when ? !a.when() : false}>
          <button type="button" className="menu-item justify-between gap-6" onClick={a.run}>
            {a.label}
            {a.keys?.[0] && (
              <kbd className="font-sans text-[12px] text-soft">{keyWords(a.keys[0])}</kbd>
            )}
          </button>
        </MenuItem>
      ))}
    </>
  );
}
