import { useEffect, useRef } from 'react';
import { useEditor } from '../state/editor';
import { paintFrame } from './painter';

interface Props {
  time: number;
  /** Painted again whenever this changes. */
  opened: number;
  /** Width and height on screen, CSS pixels. */
  width: number;
  height: number;
  label: string;
}

/** The picture of one time. */
export function FrameCanvas({ time, opened, width, height, label }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  const background = useEditor((s) => s.doc?.background ?? null);
  const sceneWidth = useEditor((s) => s.doc?.width ?? 1);
  const ratio = window.devicePixelRatio || 1;
  useEffect(() => {
    // The outlines are those of the scene that the core holds now.
    const now = useEditor.getState().opened;
    if (ref.current && opened > 0) paintFrame(ref.current, now, time, sceneWidth, background);
  }, [opened, time, sceneWidth, background, width, height, ratio]);
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
