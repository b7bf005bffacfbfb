import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { Check } from 'lucide-react';
import { useState } from 'react';
import { closeDialog, useDialogs } from '../state/dialogs';
import { select, useEditor } from '../state/editor';
import { nameOf } from '../state/items';
import { Modal } from '../ui/Modal';
import { ACTIONS, type Action } from './actions';
import { keyWords } from '../ui/keyWords';

/** A list of all that can be done and chosen, found by typing parts of its words. */
export function FindDialog() {
  const open = useDialogs((s) => s.open === 'find');
  return (
    <Modal title="Find something to do" open={open} onClose={closeDialog}>
      {open && <Finder />}
    </Modal>
  );
}

interface Entry extends Pick<Action, 'label' | 'run' | 'keys' | 'on'> {
  group: string;
}

function Finder() {
  const doc = useEditor((s) => s.doc);
  const [asked, setAsked] = useState('');
  const items: Entry[] = (doc?.items ?? []).map((i) => ({
    label: nameOf(doc, i.id),
    group: 'Choose',
    run: () => select(i.id),
  }));
  const all: Entry[] = [...ACTIONS.filter((a) => a.when?.() ?? true), ...items];
  const words = asked.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all.filter((a) => {
    const text = `${a.group} ${a.label}`.toLowerCase();
    return words.every((w) => text.includes(w));
  });
  return (
    <Combobox
      immediate
      value={null as Entry | null}
      onChange={(entry) => {
        closeDialog();
        entry?.run();
      }}
    >
      <ComboboxInput
        autoFocus
        className="field w-full"
        aria-label="What to do"
        placeholder="Such as: loop, keyframe, safe area, or the words of a lettering"
        onChange={(e) => setAsked(e.target.value)}
      />
      <ComboboxOptions static className="mt-2 max-h-80 overflow-y-auto">
        {found.map((a) => (
          <ComboboxOption
            key={`${a.group} ${a.label} ${all.indexOf(a)}`}
            value={a}
            className="flex cursor-pointer items-center gap-2 rounded-md px-2 py-1.5 data-focus:bg-wash"
          >
            <span className="w-16 shrink-0 text-[12px] text-soft">{a.group}</span>
            <span className="min-w-0 flex-1 truncate">{a.label}</span>
            {a.on?.() && <Check className="size-3.5 shrink-0 text-teal" aria-label="on" />}
            {a.keys && (
              <span className="shrink-0 text-[12px] text-soft">{keyWords(a.keys[0]!)}</span>
            )}
          </ComboboxOption>
        ))}
      </ComboboxOptions>
      {found.length === 0 && (
        <p className="px-2 py-1.5 text-soft">Nothing of that name. Try a shorter word.</p>
      )}
    </Combobox>
  );
}
