import { Handle } from './Handle';

/** Arrow keys and where they lead. */
const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface GrippableProps {
  x: number;
  y: number;
  unit: number;
  label: string;
  testId: string;
  onDown: (e: React.PointerEvent) => void;
  /** By keys, scene pixels. */
  onStep: (x: number, y: number) => void;
}

/** A handle that arrow keys move, too; with Shift by ten. */
export function Grippable({ x, y, unit, label, testId, onDown, onStep }: GrippableProps) {
  return (
    <g
      tabIndex={0}
      role="button"
      aria-label={label}
      onKeyDown={(e) => {
        const way = ARROWS[e.key];
        if (!way) return;
        e.preventDefault();
        e.stopPropagation();
        const far = e.shiftKey ? 10 : 1;
        onStep(way[0] * far, way[1] * far);
      }}
    >
      <Handle x={x} y={y} unit={unit} title={label} onDown={onDown} testId={testId} />
    </g>
  );
}
