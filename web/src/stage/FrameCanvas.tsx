import { useEffect, useRef } from 'react';
import { framesPerSecond } from '../core/document';
import { useEditor } from '../state/editor';
import { paintBlurred, paintFrame } from './painter';

interface Props {
  time: number;
  /** Painted again whenever this changes. */
  opened: number;
  /** Width and height on screen, CSS pixels. */
  width: number;
  height: number;
  label: string;
  /** Whether motion blur is shown too. */
  blur?: boolean;
}

/** The picture of one time. */
export function FrameCanvas({ time, opened, width, height, label, blur }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  const background = useEditor((s) => s.doc?.background ?? null);
  const sceneWidth = useEditor((s) => s.doc?.width ?? 1);
  // A frame that was too quick for its blur while playing gets it when the playing stops.
  const playing = useEditor((s) => blur === true && s.playing);
  const ratio = window.devicePixelRatio || 1;
  useEffect(() => {
    // The outlines are those of the scene that the core holds now.
    const now = useEditor.getState().opened;
    if (!ref.current || opened < 1) return;
    const { playing, doc } = useEditor.getState();
    const spare = playing ? 700 / framesPerSecond(doc?.rate ?? '25') : Infinity;
    if (blur) paintBlurred(ref.current, now, time, sceneWidth, background, spare);
    else paintFrame(ref.current, now, time, sceneWidth, background);
  }, [opened, time, sceneWidth, background, width, height, ratio, blur, playing]);
  return (
    <canvas
      ref={ref}
      role="img"
      aria-label={label}
      width={Math.max(1, Math.round(width * ratio))}
      height={Math.max(1, Math.round(height * ratio))}
      style={{ width, height }}
      className={background ? '' : 'chequer'}
    />
  );
}
