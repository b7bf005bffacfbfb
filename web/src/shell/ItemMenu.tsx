import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { useEffect, useRef } from 'react';
import { useItemMenu } from '../state/itemMenu';
import { CHOSEN_ACTIONS, keyWords, PASTE_ACTIONS, type Action } from './actions';

/** The menu at the pointer: what can be done with what is chosen. */
export function ItemMenu() {
  const at = useItemMenu((s) => s.at);
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (!at) return;
    button.current?.focus();
    button.current?.dispatchEvent(
      new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true, cancelable: true }),
    );
  }, [at]);
  if (!at) return null;
  return (
    <Menu>
      {({ open }) => (
        <>
          <MenuButton
            ref={button}
            className="pointer-events-none fixed size-px opacity-0"
            style={{ left: at[0], top: at[1] }}
            tabIndex={-1}
            aria-label="What can be done with what is chosen"
          />
          <MenuItems anchor="bottom start" className="menu">
            <Entries />
          </MenuItems>
          <Closing open={open} />
        </>
      )}
    </Menu>
  );
}

/** A closed menu gives the keys to its hidden button: without it they are the stage's again. */
function Closing({ open }: { open: boolean }) {
  const was = useRef(false);
  useEffect(() => {
    if (was.current && !open) useItemMenu.setState({ at: null });
    was.current = open;
  }, [open]);
  return null;
}

function Entries() {
  const able = (a: Action) => a.when?.() ?? true;
  return (
    <>
      {[...CHOSEN_ACTIONS, ...PASTE_ACTIONS].filter(able).map((a) => (
        <MenuItem key={a.label}>
          <button type="button" className="menu-item justify-between gap-6" onClick={a.run}>
            {a.label}
            {a.keys?.[0] && <span className="text-[12px] text-soft">{keyWords(a.keys[0])}</span>}
          </button>
        </MenuItem>
      ))}
    </>
  );
}
