import { TAB_NAMES, TABS, useEditor, type Tab } from '../state/editor';
import { setHidden } from './columns';
import { showPane, usePane, type Layout } from './layout';

/**
 * The six steps of the work, down the left edge or across; the Journey is one more entry where it
 * has no place of its own.
 */
export function LedgerTabs({ layout }: { layout: Layout }) {
  const tab = useEditor((s) => s.tab);
  const { pane } = usePane();
  const across = layout === 'upright' || layout === 'slim';
  const one = layout === 'narrow' || layout === 'slim';
  const open = (t: Tab) => t === tab && !(one && pane === 'journey');
  return (
    <nav
      className={`flex shrink-0 bg-paper ${
        across
          ? 'h-12 gap-0.5 overflow-x-auto border-y border-rule px-1 pt-1'
          : 'w-16 flex-col gap-1 overflow-y-auto border-r border-rule py-3 pl-2 [scrollbar-width:none]'
      }`}
      aria-label="Steps of the work"
    >
      {TABS.map((t, i) => (
        <Entry
          key={t}
          number={i + 1}
          name={TAB_NAMES[t]}
          open={open(t)}
          across={across}
          onOpen={() => {
            useEditor.setState({ tab: t });
            setHidden('sheet', false);
            showPane('sheet');
          }}
        />
      ))}
      {one && (
        <Entry
          name="Journey"
          open={pane === 'journey'}
          across={across}
          onOpen={() => showPane('journey')}
        />
      )}
    </nav>
  );
}

interface EntryProps {
  number?: number;
  name: string;
  open: boolean;
  across: boolean;
  onOpen: () => void;
}

function Entry({ number, name, open, across, onOpen }: EntryProps) {
  const shape = across
    ? '-mb-px h-11 min-w-12 flex-1 rounded-t-[9px]'
    : `-mr-px rounded-l-[9px] ${number ? 'h-16 min-h-11' : 'mt-2 h-11'}`;
  const here = across
    ? 'border-rule border-b-sheet shadow-[inset_0_3px_0_var(--teal)]'
    : 'border-rule border-r-sheet shadow-[inset_3px_0_0_var(--teal)]';
  return (
    <button
      type="button"
      aria-current={open ? 'page' : undefined}
      className={`relative flex flex-col items-center justify-center border ${shape} ${
        open ? `${here} bg-sheet text-ink` : 'border-transparent text-soft hover:text-ink'
      }`}
      onClick={onOpen}
    >
      {number && (
        <span className={`font-head font-semibold ${across ? 'text-[12px]' : 'text-[15px]'}`}>
          {number}
        </span>
      )}
      <span className={`text-[12px] ${open ? 'font-semibold' : ''}`}>{name}</span>
    </button>
  );
}
