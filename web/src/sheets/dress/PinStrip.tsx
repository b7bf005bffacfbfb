import { useTimeWords } from '../../state/timeUnit';
import type { Footage, FootagePin, PinFrame } from '../../core/document';
import { useEditor } from '../../state/editor';
import { DOUBT, frameSeen, goTo } from '../../state/pins';

/** Px on screen. */
const [WIDTH, HEIGHT] = [262, 22];

interface Props {
  footage: Footage;
  pin: FootagePin;
  /** Frames that are being found. */
  coming: PinFrame[] | undefined;
}

const looks = {
  sure: 'fill-teal',
  doubt: 'fill-ochre',
  bridged: 'fill-ochre opacity-40',
  set: 'fill-ink',
};

type Look = keyof typeof looks;

function lookOf(f: PinFrame): Look {
  if (f.how === 'set' || f.how === 'bridged') return f.how;
  return (f.sure ?? 100) < DOUBT ? 'doubt' : 'sure';
}

/** How sure every frame is: as high as it is sure; a bar across where it was set by hand. */
export function PinStrip({ footage, pin, coming = [] }: Props) {
  const words = useTimeWords();
  const { length } = footage;
  useEditor((s) => s.time);
  const seen = frameSeen(footage);
  const wide = Math.max(WIDTH / (length * footage.rate), 0.7);
  const count = { sure: 0, doubt: 0, bridged: 0, set: 0 };
  const bars: Record<Look, string> = { sure: '', doubt: '', bridged: '', set: '' };
  for (const f of [...pin.frames, ...coming]) {
    const look = lookOf(f);
    const whole = look === 'set' || look === 'bridged';
    const high = whole ? HEIGHT : Math.max((HEIGHT * (f.sure ?? 100)) / 100, 2);
    const width = look === 'set' ? Math.max(wide, 2) : wide;
    const x = ((f.time / length) * WIDTH).toFixed(2);
    bars[look] += `M${x} ${HEIGHT}v${(-high).toFixed(1)}h${width.toFixed(2)}v${high.toFixed(1)}z`;
    count[look]++;
  }
  const last = pin.frames.at(-1)!;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mb-2 w-full cursor-pointer rounded bg-paper"
      role="img"
      aria-label={
        `Followed from ${words(pin.frames[0]!.time)} to ${words(last.time)}: ` +
        `${count.sure} frames sure, ${count.doubt} in doubt, ${count.bridged} bridged, ${count.set} set by hand`
      }
      data-testid="pin-strip"
      onPointerDown={(e) => {
        const box = e.currentTarget.getBoundingClientRect();
        goTo(footage, ((e.clientX - box.left) / box.width) * length);
      }}
    >
      <title>How sure every frame is. Pale: bridged. Dark: set by hand. Click to go there</title>
      {(['bridged', 'sure', 'doubt', 'set'] as const).map((look) => (
        <path key={look} d={bars[look]} className={looks[look]} />
      ))}
      {seen !== null && (
        <rect
          x={(seen / length) * WIDTH - 1}
          width={2}
          height={HEIGHT}
          className="fill-vermilion stroke-sheet"
          strokeWidth={0.5}
        />
      )}
    </svg>
  );
}
