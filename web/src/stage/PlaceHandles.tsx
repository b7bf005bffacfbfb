import type { ToScene } from './coordinates';
import { Handle } from './Handle';
import { usePlaceDrags } from './usePlaceDrags';

interface Props {
  id: string;
  /** Whether it is scaled here, and not at corners of its own. */
  scales: boolean;
  unit: number;
  toScene: ToScene;
  /** The pixels round the item, without the path that carries it. */
  toRound: ToScene;
}

const RING = 58;

/** Of a picture or group: its centre to move it by, and a ring round that to turn and scale it by. */
export function PlaceHandles({ id, scales, unit, toScene, toRound }: Props) {
  const { x, y, turn, move, rotate, scale } = usePlaceDrags(id, unit, toScene, toRound);
  const away = (degrees: number) => {
    const a = ((turn + degrees) * Math.PI) / 180;
    return { x: x + RING * unit * Math.cos(a), y: y + RING * unit * Math.sin(a) };
  };

  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={RING * unit}
        fill="none"
        className="pointer-events-none stroke-vermilion opacity-50"
        strokeWidth={unit}
        strokeDasharray={`${3 * unit} ${4 * unit}`}
      />
      <Handle
        {...away(0)}
        unit={unit}
        title="Drag round to turn it; Shift in steps of 15°"
        onDown={rotate}
        testId="place-turn"
      />
      {scales && (
        <Handle
          {...away(45)}
          unit={unit}
          square
          small
          title="Drag outward for larger, inward for smaller"
          onDown={scale}
          testId="place-scale"
        />
      )}
      <Handle
        x={x}
        y={y}
        unit={unit}
        title="Centre: drag to move it; Ctrl lets it go free of lines"
        onDown={move}
        testId="place-centre"
      />
    </g>
  );
}
