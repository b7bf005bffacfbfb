import {
  Maximize2,
  Minimize2,
  Pause,
  Play,
  Repeat,
  StepBack,
  StepForward,
  Volume2,
  VolumeX,
  X,
} from 'lucide-react';
import { framesPerSecond } from '../core/core';
import { playAll } from '../state/range';
import { setTime, useEditor } from '../state/editor';
import { IconButton } from '../ui/IconButton';
import { pause, play } from './playback';
import { useSound, useSounds } from './sound';
import { Clock } from './Clock';
import { PlayedRange } from './PlayedRange';
import { useClock } from '../state/timeUnit';

/** Goes to the keyframe before or after the playhead, of any value of the chosen item. */
export function goToKeyframe(way: -1 | 1): void {
  const { summary, selected, time, doc } = useEditor.getState();
  if (!summary || !doc) return;
  const half = 0.5 / framesPerSecond(doc.rate);
  const times = Object.values(summary.items[selected ?? '']?.channels ?? {})
    .flatMap((keys) => (keys ?? []).map((k) => k.time))
    .sort((a, b) => a - b);
  const next =
    way > 0 ? times.find((t) => t > time + half) : times.filter((t) => t < time - half).at(-1);
  if (next !== undefined) setTime(next);
}

export function stepFrame(way: number): void {
  const { doc, time } = useEditor.getState();
  pause();
  if (doc) setTime(time + way / framesPerSecond(doc.rate));
}

/** Play, time, scrub, loop, steps. */
export function Transport() {
  const doc = useEditor((s) => s.doc);
  const time = useEditor((s) => s.time);
  const playing = useEditor((s) => s.playing);
  const loop = useEditor((s) => s.loop);
  const full = useEditor((s) => s.full);
  const frames = useEditor((s) => s.summary?.frames ?? 1);
  const sounds = useSounds().length > 0;
  const told = useClock();
  const range = useEditor((s) => s.range);
  const heard = useSound((s) => s.on);
  if (!doc) return null;
  const fps = framesPerSecond(doc.rate);
  return (
    <div className="flex shrink-0 flex-col gap-1 pt-1 pb-2" aria-label="Transport" role="group">
      <PlayedRange length={doc.length} />
      <input
        type="range"
        aria-label="Playhead"
        aria-valuetext={told(time)}
        className="h-4 w-full cursor-pointer accent-(--vermilion)"
        min={0}
        max={frames - 1}
        step={1}
        value={Math.round(time * fps)}
        onChange={(e) => {
          pause();
          setTime(Number(e.target.value) / fps);
        }}
      />
      <div className="flex flex-wrap items-center gap-1.5">
        <button
          type="button"
          className="flex size-9 shrink-0 items-center justify-center rounded-full bg-ink text-sheet"
          aria-label={playing ? 'Pause' : 'Play'}
          title="Space; J backwards, K stop, L on, each again for faster"
          onClick={() => (playing ? pause() : play())}
        >
          {playing ? <Pause className="size-4.5" /> : <Play className="ml-0.5 size-4.5" />}
        </button>
        <Clock />
        <button
          type="button"
          className="btn px-1.5"
          aria-label="Back one frame"
          title="Back one frame (,)"
          onClick={() => stepFrame(-1)}
        >
          <StepBack className="size-4" />
        </button>
        <button
          type="button"
          className="btn px-1.5"
          aria-label="On one frame"
          title="On one frame (.)"
          onClick={() => stepFrame(1)}
        >
          <StepForward className="size-4" />
        </button>
        <button
          type="button"
          className={`btn ${loop ? 'text-teal' : 'text-soft'}`}
          aria-pressed={loop}
          onClick={() => useEditor.setState({ loop: !loop })}
        >
          <Repeat className="size-4" /> {loop ? 'Loop on' : 'Loop off'}
        </button>
        {range && (
          <button
            type="button"
            className="btn px-1.5 text-teal"
            aria-label="Play all of the scene"
            title="Play all of the scene again"
            onClick={playAll}
          >
            <X className="size-4" />
          </button>
        )}
        <button
          type="button"
          className="btn px-1.5"
          aria-label={full ? 'Workbench' : 'Full frame'}
          aria-pressed={full}
          title={full ? 'Back to the workbench (F)' : 'Full frame without overlays (F)'}
          onClick={() => useEditor.setState({ full: !full })}
        >
          {full ? <Minimize2 className="size-4" /> : <Maximize2 className="size-4" />}
        </button>
        {sounds && (
          <IconButton
            label={heard ? 'Play without sound' : 'Play with sound'}
            pressed={heard}
            onClick={() => useSound.setState({ on: !heard })}
          >
            {heard ? <Volume2 className="size-4" /> : <VolumeX className="size-4" />}
          </IconButton>
        )}
        <div className="ml-auto flex shrink-0 gap-1.5">
          <button
            type="button"
            className="btn"
            title="Previous keyframe (U)"
            onClick={() => goToKeyframe(-1)}
          >
            ◂ Key
          </button>
          <button
            type="button"
            className="btn"
            title="Next keyframe (O)"
            onClick={() => goToKeyframe(1)}
          >
            Key ▸
          </button>
        </div>
      </div>
    </div>
  );
}
