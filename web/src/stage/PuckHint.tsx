import { create } from 'zustand';

const KEY = 'roving-puck-told';

/** Whether what the ring on the path is for was told, and tried, in this browser. */
export const usePuckTold = create<{ told: boolean }>(() => ({
  told: localStorage.getItem(KEY) === 'yes',
}));

export function puckTold(): void {
  if (usePuckTold.getState().told) return;
  localStorage.setItem(KEY, 'yes');
  usePuckTold.setState({ told: true });
}

const LINES = [
  'Drag this ring along the path:',
  'the words go with it. Across, they leave the line.',
];

/** What the ring is for, beside it, until it was dragged once. */
export function PuckHint({ x, y, unit }: { x: number; y: number; unit: number }) {
  const told = usePuckTold((s) => s.told);
  if (told) return null;
  return (
    <g
      transform={`translate(${x} ${y}) scale(${unit})`}
      className="pointer-events-none"
      data-testid="puck-hint"
    >
      <path d="M0 12L-6 20H6Z" className="fill-ink" />
      <rect x={-152} y={20} width={304} height={42} rx={7} className="fill-ink" />
      {LINES.map((line, i) => (
        <text
          key={line}
          x={0}
          y={37 + 17 * i}
          textAnchor="middle"
          fontSize={12}
          className="fill-sheet"
        >
          {line}
        </text>
      ))}
    </g>
  );
}
