import { useSnap } from './snap';

/** The lines that something being dragged has caught on, with what they are. */
export function SnapLines(props: { width: number; height: number; unit: number }) {
  const { width, height, unit } = props;
  const { x, y } = useSnap();
  const word = 'halo fill-teal';
  return (
    <g className="pointer-events-none stroke-teal" strokeWidth={unit} fontSize={11 * unit}>
      {x && (
        <>
          <path d={`M${x.at} ${-height}V${2 * height}`} />
          <text x={x.at + 5 * unit} y={14 * unit} className={word}>
            {x.word}
          </text>
        </>
      )}
      {y && (
        <>
          <path d={`M${-width} ${y.at}H${2 * width}`} />
          <text x={5 * unit} y={y.at - 5 * unit} className={word}>
            {y.word}
          </text>
        </>
      )}
    </g>
  );
}
