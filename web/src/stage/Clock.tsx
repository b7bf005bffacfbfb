import { useState } from 'react';
import { setTime, useEditor } from '../state/editor';
import { notify } from '../state/notices';
import { toggleFrames, useClock, useFps, useTimeUnit } from '../state/timeUnit';
import { pause } from './playback';
import { readTime } from './time';

/** The time at the playhead, and where to go when another is typed; in seconds or in frames. */
export function Clock() {
  const doc = useEditor((s) => s.doc);
  const time = useEditor((s) => s.time);
  const fps = useFps();
  const frames = useTimeUnit((s) => s.frames);
  const told = useClock();
  const [text, setText] = useState<string | null>(null);
  if (!doc) return null;
  const now = told(time);
  const commit = () => {
    if (text === null) return;
    setText(null);
    if (text.trim() === now) return;
    const to = readTime(text, fps, frames);
    if (typeof to === 'string') return notify(to, 'error');
    pause();
    setTime(to);
  };
  return (
    <div className="flex items-center">
      <input
        className="w-22 rounded-md border border-transparent bg-transparent px-1 font-head text-[19px] font-semibold hover:border-rule focus:bg-sheet"
        aria-label="Time at the playhead"
        title="Type a time to go to it: 00:01.05, 1.2s or 30f"
        value={text ?? now}
        onChange={(e) => setText(e.target.value)}
        onFocus={(e) => e.target.select()}
        onBlur={commit}
        onKeyDown={(e) => {
          if (e.key === 'Enter') e.currentTarget.blur();
          else if (e.key === 'Escape') setText(null);
        }}
      />
      <button
        type="button"
        className="btn h-7 w-7 justify-center px-0 text-soft"
        aria-label={
          frames ? 'Times in frames; tell them in seconds' : 'Times in seconds; tell them in frames'
        }
        title={
          frames
            ? 'Times in frames everywhere; click for seconds'
            : 'Times in seconds everywhere; click for frames'
        }
        onClick={toggleFrames}
      >
        {frames ? 'f' : 's'}
      </button>
    </div>
  );
}
