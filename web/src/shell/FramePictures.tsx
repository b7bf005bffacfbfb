import { FRAMES, sameSize, type Size } from '../state/frames';

interface Props {
  size: Size;
  onChoose: (size: Size) => void;
}

/** Common frames by their shape, to choose one. */
export function FramePictures({ size, onChoose }: Props) {
  return (
    <div className="mb-2 grid grid-cols-5 gap-1" role="radiogroup" aria-label="Frame">
      {FRAMES.map((f) => {
        const chosen = sameSize(f.size, size);
        const [w, h] = fitted(f.size, 30);
        return (
          <button
            key={f.label}
            type="button"
            role="radio"
            aria-checked={chosen}
            aria-label={`${f.label}, ${f.size[0]} × ${f.size[1]} px`}
            title={`${f.label}, ${f.size[0]} × ${f.size[1]} px`}
            className={`flex flex-col items-center gap-1 rounded-md border px-0.5 pt-1.5 pb-1 text-[11px] ${
              chosen ? 'border-teal bg-wash text-teal' : 'border-rule text-soft hover:border-soft'
            }`}
            onClick={() => onChoose(f.size)}
          >
            <svg viewBox="0 0 34 34" className="size-8.5" aria-hidden>
              <rect
                x={17 - w / 2}
                y={17 - h / 2}
                width={w}
                height={h}
                rx={1.5}
                className={chosen ? 'fill-sheet stroke-teal' : 'fill-sheet stroke-soft'}
                strokeWidth={1.5}
              />
            </svg>
            {f.ratio}
          </button>
        );
      })}
    </div>
  );
}

/** A size made to fit a square. */
function fitted([width, height]: Size, room: number): Size {
  const k = room / Math.max(width, height);
  return [width * k, height * k];
}
