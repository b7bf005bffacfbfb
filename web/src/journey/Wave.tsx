import { useQueries } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import * as core from '../core/core';
import { useSounds } from '../stage/sound';
import { applyEdit, setTime, useEditor } from '../state/editor';
import { newId } from '../state/itemActions';
import type { Scale } from './scale';

/** Px on screen. */
export const WAVE = 34;

/** Peaks in one second; see the Java class FootageReading. */
const PEAKS = 50;

/** What is heard, along the times of the chart, so that cues can be set on it. */
export function Wave({ scale, height }: { scale: Scale; height: number }) {
  const ref = useRef<HTMLCanvasElement>(null);
  const sounds = useSounds();
  const time = useEditor((s) => s.time);
  const images = [...new Set(sounds.map((s) => s.image))];
  const peaks = useQueries({
    queries: images.map((image) => ({
      queryKey: ['peaks', image],
      queryFn: async () => {
        const answer = await fetch(`/api/footage/${image}/peaks`);
        if (!answer.ok) throw new Error(`The sound came with status ${answer.status}`);
        return new Uint8Array(await answer.arrayBuffer());
      },
      staleTime: Infinity,
    })),
    combine: (all) => all.map((q) => q.data),
  });
  const ratio = window.devicePixelRatio || 1;
  useEffect(() => {
    const g = ref.current?.getContext('2d');
    if (!g) return;
    g.setTransform(ratio, 0, 0, ratio, 0, 0);
    g.clearRect(0, 0, WAVE, height);
    g.fillStyle = getComputedStyle(g.canvas).color;
    // The loudest fills the width: what matters is where it is loud.
    const most = Math.max(
      loudest(
        0,
        sounds.reduce((t, s) => Math.max(t, s.at + s.seconds), 0),
      ),
      0.02,
    );
    for (let y = 0; y < height; y++) {
      const half = (loudest(scale.time(y), scale.time(y + 1)) / most) * (WAVE / 2);
      if (half > 0) g.fillRect(WAVE / 2 - Math.max(half, 0.5), y, 2 * Math.max(half, 0.5), 1);
    }
    function loudest(from: number, to: number): number {
      let most = 0;
      sounds.forEach((s) => {
        const all = peaks[images.indexOf(s.image)];
        if (!all || to < s.at || from > s.at + s.seconds) return;
        const gain = core.soundGain(s.piece, from) / 255;
        const first = Math.floor((s.from + (Math.max(from, s.at) - s.at) * s.speed) * PEAKS);
        const last = Math.floor(
          (s.from + (Math.min(to, s.at + s.seconds) - s.at) * s.speed) * PEAKS,
        );
        for (let k = first; k <= last; k++) most = Math.max(most, (all[k] ?? 0) * gain);
      });
      return most;
    }
  });
  const at = (e: React.MouseEvent) =>
    Math.max(0, scale.time(e.clientY - e.currentTarget.getBoundingClientRect().top));
  return (
    <div
      className="relative ml-2 shrink-0 cursor-pointer text-soft"
      style={{ width: WAVE, height }}
      title="The sound of the scene. Click to go there, double-click to set a cue"
      data-testid="wave"
      onClick={(e) => setTime(at(e))}
      onDoubleClick={(e) => applyEdit({ op: 'addCue', id: newId(), time: at(e) })}
    >
      <canvas
        ref={ref}
        role="img"
        aria-label="How loud the scene is, time down"
        width={Math.round(WAVE * ratio)}
        height={Math.max(1, Math.round(height * ratio))}
        style={{ width: WAVE, height }}
      />
      <span
        className="pointer-events-none absolute inset-x-0 h-px bg-vermilion"
        style={{ top: scale.y(time) }}
      />
    </div>
  );
}
