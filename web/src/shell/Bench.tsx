import type { ReactNode } from 'react';
import { useEditor } from '../state/editor';
import { useLayout, usePane } from './layout';
import { LedgerTabs } from './LedgerTabs';
import { SideColumn } from './SideColumn';

interface BenchProps {
  sheet: ReactNode;
  stage: ReactNode;
  journey: ReactNode;
}

/** The steps of the work, the sheet, the stage and the Journey, as the window has room for them. */
export function Bench({ sheet, stage, journey }: BenchProps) {
  const full = useEditor((s) => s.full);
  const layout = useLayout();
  const { pane } = usePane();
  const one = pane === 'journey' ? journey : sheet;
  if (full) return <div className="flex min-h-0 flex-1">{stage}</div>;
  if (layout === 'wide') {
    return (
      <div className="flex min-h-0 flex-1">
        <LedgerTabs layout={layout} />
        <SideColumn side="sheet">{sheet}</SideColumn>
        {stage}
        <SideColumn side="journey">{journey}</SideColumn>
      </div>
    );
  }
  if (layout === 'narrow') {
    return (
      <div className="flex min-h-0 flex-1">
        <LedgerTabs layout={layout} />
        <div className="flex min-h-0 w-76 shrink-0 flex-col border-r border-rule max-[800px]:w-64">
          {one}
        </div>
        {stage}
      </div>
    );
  }
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className={`flex min-h-0 ${layout === 'slim' ? 'flex-[14]' : 'flex-[11]'}`}>{stage}</div>
      <LedgerTabs layout={layout} />
      <div className="flex min-h-0 flex-[10]">
        {layout === 'slim' ? (
          <div className="flex min-h-0 min-w-0 flex-1 flex-col">{one}</div>
        ) : (
          <>
            <div className="flex min-h-0 w-76 shrink-0 flex-col border-r border-rule">{sheet}</div>
            <div className="flex min-h-0 min-w-0 flex-1 flex-col">{journey}</div>
          </>
        )}
      </div>
    </div>
  );
}
