import type { SVGProps } from 'react';

/** Arrow keys and where they lead. */
const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface Props extends SVGProps<SVGGElement> {
  label: string;
  /** By keys: to the right and down, ten times as far with Shift. */
  onStep: (x: number, y: number) => void;
}

/** Something on the stage that can be reached by Tab and moved by the arrow keys. */
export function Steppable({ label, onStep, ...rest }: Props) {
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
      {...rest}
    />
  );
}
