import { ChevronLeft, ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { resize, setHidden, useColumns, WIDTHS, type Side } from './columns';

const WORDS: Record<Side, string> = { sheet: 'the sheet', journey: 'the Journey' };

/** A column beside the stage, with the edge towards it to resize and hide it by. */
export function SideColumn({ side, children }: { side: Side; children: ReactNode }) {
  const { width, hidden } = useColumns((s) => s[side]);
  const left = side === 'sheet';
  const body = !hidden && (
    <div className="flex min-h-0 shrink-0 flex-col" style={{ width }}>
      {children}
    </div>
  );
  return (
    <>
      {left && body}
      <Edge side={side} width={width} hidden={hidden} />
      {!left && body}
    </>
  );
}

function Edge({ side, width, hidden }: { side: Side; width: number; hidden: boolean }) {
  const outward = side === 'sheet' ? 1 : -1;
  const { most, start } = WIDTHS[side];
  const drag = (e: React.PointerEvent<HTMLDivElement>) => {
    if (e.button !== 0) return;
    e.preventDefault();
    const edge = e.currentTarget;
    const from = e.clientX;
    const begin = hidden ? 0 : width;
    edge.setPointerCapture(e.pointerId);
    edge.onpointermove = (m) => resize(side, begin + outward * (m.clientX - from));
    edge.onpointerup = () => (edge.onpointermove = null);
    edge.onpointercancel = edge.onpointerup;
  };
  const keys = (e: React.KeyboardEvent) => {
    const by = e.key === 'ArrowRight' ? 16 : e.key === 'ArrowLeft' ? -16 : 0;
    if (by === 0) return;
    e.stopPropagation();
    resize(side, width + outward * by);
  };
  const Chevron = hidden === (side === 'sheet') ? ChevronRight : ChevronLeft;
  const label = `${hidden ? 'Show' : 'Hide'} ${WORDS[side]}`;
  return (
    <div className="relative z-10 w-2 shrink-0 bg-surround">
      <div
        role="separator"
        aria-orientation="vertical"
        aria-label={`Width of ${WORDS[side]}`}
        aria-valuenow={hidden ? 0 : width}
        aria-valuemin={0}
        aria-valuemax={most}
        tabIndex={0}
        title="Drag to resize; double-click for the width at the start"
        className={`absolute inset-0 cursor-col-resize touch-none hover:bg-wash ${
          side === 'sheet' ? 'border-l border-rule' : 'border-r border-rule'
        }`}
        onPointerDown={drag}
        onKeyDown={keys}
        onDoubleClick={() => resize(side, start)}
        data-testid={`edge-${side}`}
      />
      <button
        type="button"
        aria-label={label}
        title={label}
        className="absolute top-1/2 left-1/2 flex h-9 w-3.5 -translate-1/2 items-center justify-center rounded-full border border-rule bg-sheet text-soft hover:border-soft hover:text-ink"
        onClick={() => setHidden(side, !hidden)}
      >
        <Chevron className="size-3" />
      </button>
    </div>
  );
}
