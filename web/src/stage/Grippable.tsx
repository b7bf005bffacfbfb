import { Handle } from './Handle';
import { Steppable } from './Steppable';

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
    <Steppable label={label} onStep={onStep}>
      <Handle x={x} y={y} unit={unit} title={label} onDown={onDown} testId={testId} />
    </Steppable>
  );
}
