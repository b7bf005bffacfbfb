interface HandleProps {
  x: number;
  y: number;
  unit: number;
  title: string;
  onDown?: (e: React.PointerEvent) => void;
  square?: boolean;
  chosen?: boolean;
  small?: boolean;
  testId?: string;
  cursor?: string;
}

/** Something to take hold of on the stage: round, or square for a corner. */
export function Handle(props: HandleProps) {
  const { x, y, unit, title, onDown, square, chosen, small, testId, cursor } = props;
  const r = small ? 3.5 : 5;
  const style = chosen ? 'fill-vermilion stroke-vermilion' : 'fill-sheet stroke-vermilion';
  return (
    <g
      transform={`translate(${x} ${y}) scale(${unit})`}
      className={cursor ?? 'cursor-grab'}
      onPointerDown={onDown}
      data-testid={testId}
    >
      <title>{title}</title>
      <circle r="11" fill="transparent" className="grip" />
      {square ? (
        <rect
          x={-r + 0.5}
          y={-r + 0.5}
          width={2 * r - 1}
          height={2 * r - 1}
          className={style}
          strokeWidth="2"
        />
      ) : (
        <circle r={r} className={style} strokeWidth="2" />
      )}
    </g>
  );
}
