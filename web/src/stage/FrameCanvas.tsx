import { useEffect, useRef } from 'react';
import { framesPerSecond } from '../core/core';
import { useEditor } from '../state/editor';
import { useBitmaps } from './bitmaps';
import { paintBlurred, paintFrame } from './painter';

interface Props {
  time: number;
  /** Painted again whenever this changes; nothing is to be seen before 1. */
  shown: number;
  /** Width and height on screen, CSS pixels. */
  width: number;
  height: number;
  label: string;
  /** Whether motion blur is shown too. */
  blur?: boolean;
  /** Without the background: something else lies beneath. */
  clear?: boolean;
}

/** The picture of one time. */
export function FrameCanvas({ time, shown, width, height, label, blur, clear }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  const own = useEditor((s) => s.doc?.background ?? null);
  const background = clear ? null : own;
  const sceneWidth = useEditor((s) => s.doc?.width ?? 1);
  // A frame that was too quick for its blur while playing gets it when the playing stops.
  const playing = useEditor((s) => blur === true && s.playing);
  const arrived = useBitmaps((s) => s.arrived);
  const ratio = window.devicePixelRatio || 1;
  useEffect(() => {
    if (!ref.current || shown < 1) return;
    const { playing, doc } = useEditor.getState();
    const spare = playing ? 700 / framesPerSecond(doc?.rate ?? '25') : Infinity;
    if (blur) paintBlurred(ref.current, time, sceneWidth, background, spare);
    else paintFrame(ref.current, time, sceneWidth, background);
  }, [shown, time, sceneWidth, background, width, height, ratio, blur, playing, arrived]);
  return (
    <canvas
      ref={ref}
      role="img"
      aria-label={label}
      width={Math.max(1, Math.round(width * ratio))}
      height={Math.max(1, Math.round(height * ratio))}
      style={{ width, height }}
      className={`relative block ${background || clear ? '' : 'chequer'}`}
    />
  );
}
