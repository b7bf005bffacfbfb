import { setTime, useEditor } from '../state/editor';
import { useTimeWords } from '../state/timeUnit';
import { useSettled } from '../ui/useSettled';
import { FrameCanvas } from './FrameCanvas';
import { LoopButton } from './LoopCheck';
import { pause } from './playback';

/** Width of a pose on screen: five of them stand side by side. */
const TILE = 104;

/** Small pictures of the first frame, the frames at keyframes, and the last. */
export function Poses() {
  const doc = useEditor((s) => s.doc);
  const words = useTimeWords();
  const poses = useEditor((s) => s.summary?.poses);
  const time = useEditor((s) => s.time);
  const opened = useSettled(useEditor((s) => s.opened));
  if (!doc || !poses) return null;
  const width = Math.min(TILE, (60 * doc.width) / doc.height);
  return (
    <section aria-label="Poses" className="shrink-0">
      <h2 className="mb-1 flex items-baseline justify-between font-semibold">
        Poses
        <LoopButton />
      </h2>
      <ul className="flex gap-2 overflow-x-auto pb-1">
        {poses.map((p, i) => {
          const here = Math.abs(p.time - time) < 0.001;
          return (
            <li key={i} className="shrink-0">
              <button
                type="button"
                className={`block overflow-hidden rounded-md border bg-sheet text-left ${here ? 'border-teal' : 'border-rule hover:border-soft'}`}
                onClick={() => {
                  pause();
                  setTime(p.time);
                }}
              >
                {/* Drawn once the editing rests: every pose is a whole frame to paint. */}
                <span className="flex justify-center bg-surround">
                  <FrameCanvas
                    shown={opened}
                    time={p.time}
                    width={width}
                    height={(width * doc.height) / doc.width}
                    label={`Frame at ${words(p.time)}`}
                  />
                </span>
                <span
                  className="flex justify-between gap-2 px-1.5 py-1 text-[11px]"
                  style={{ width: TILE }}
                >
                  <span className="truncate font-medium" title={p.label}>
                    {p.label}
                  </span>
                  <span className="shrink-0 text-soft">{words(p.time)}</span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
