import { TAB_NAMES, TABS, useEditor } from '../state/editor';
import { setHidden } from './columns';

/** The six steps of the work, down the left edge. */
export function LedgerTabs() {
  const tab = useEditor((s) => s.tab);
  return (
    <nav
      className="flex w-16 shrink-0 flex-col gap-1 border-r border-rule bg-paper py-3 pl-2"
      aria-label="Steps of the work"
    >
      {TABS.map((t, i) => {
        const open = t === tab;
        return (
          <button
            key={t}
            type="button"
            aria-current={open ? 'page' : undefined}
            className={`relative -mr-px flex h-16 flex-col items-center justify-center rounded-l-[9px] border ${
              open
                ? 'border-rule border-r-sheet bg-sheet text-ink shadow-[inset_3px_0_0_var(--teal)]'
                : 'border-transparent text-soft hover:text-ink'
            }`}
            onClick={() => {
              useEditor.setState({ tab: t });
              setHidden('sheet', false);
            }}
          >
            <span className="font-head text-[15px] font-semibold">{i + 1}</span>
            <span className={`text-[12px] ${open ? 'font-semibold' : ''}`}>{TAB_NAMES[t]}</span>
          </button>
        );
      })}
    </nav>
  );
}
