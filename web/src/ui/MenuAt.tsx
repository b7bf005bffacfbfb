import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { useEffect, useRef } from 'react';
import type { Entry } from '../state/itemMenu';
import { keyWords } from './keyWords';

interface Props {
  /** Px of the page; nothing is shown while it is null. */
  at: [number, number] | null;
  label: string;
  entries: Entry[];
  onClose: () => void;
}

/** A menu at a place of the page; it has the keys while it is open. */
export function MenuAt({ at, label, entries, onClose }: Props) {
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
            aria-label={label}
          />
          <MenuItems anchor="bottom start" className="menu">
            {entries
              .filter((a) => a.when?.() ?? true)
              .map((a) => (
                <MenuItem key={a.label}>
                  <button type="button" className="menu-item justify-between gap-6" onClick={a.run}>
                    {a.label}
                    {a.keys?.[0] && (
                      <span className="text-[12px] text-soft">{keyWords(a.keys[0])}</span>
                    )}
                  </button>
                </MenuItem>
              ))}
          </MenuItems>
          <Closing open={open} onClose={onClose} />
        </>
      )}
    </Menu>
  );
}

/** A closed menu gives the keys to its hidden button: without it they are the stage's again. */
function Closing({ open, onClose }: { open: boolean; onClose: () => void }) {
  const was = useRef(false);
  useEffect(() => {
    if (was.current && !open) onClose();
    was.current = open;
  }, [open, onClose]);
  return null;
}
