import { useEffect, useRef } from 'react';
import { framesPerSecond } from '../core/core';
import { useEditor } from '../state/editor';
import { useBitmaps } from './bitmaps';
import { paintBlurred, paintFrame } from './painter';

/** A part of a picture, in pixels of the device. */
export interface Crop {
  left: number;
  top: number;
  width: number;
  height: number;
}

interface Props {
  time: number;
  /** Painted again whenever this changes; nothing is to be seen before 1. */
  shown: number;
  /** Width and height on screen, CSS pixels. */
  width: number;
  height: number;
  label: string;
  /** What can be seen of it, where that is not all. */
  crop?: Crop;
  /** Whether motion blur is shown too. */
  blur?: boolean;
  /** Without the background: something else lies beneath. */
  clear?: boolean;
}

/** The picture of one time. */
export function FrameCanvas({ time, shown, width, height, label, crop, blur, clear }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  const own = useEditor((s) => s.doc?.background ?? null);
  const background = clear ? null : own;
  const sceneWidth = useEditor((s) => s.doc?.width ?? 1);
  // A frame that was too quick for its blur while playing gets it when the playing stops.
  const playing = useEditor((s) => blur === true && s.playing);
  const arrived = useBitmaps((s) => s.arrived);
  const ratio = window.devicePixelRatio || 1;
  const seen = crop ?? {
    left: 0,
    top: 0,
    width: Math.max(1, Math.round(width * ratio)),
    height: Math.max(1, Math.round(height * ratio)),
  };
  const { left, top } = seen;
  // A whole frame is as wide as its canvas, though that is of whole pixels.
  const scale = (crop ? width * ratio : seen.width) / sceneWidth;
  useEffect(() => {
    if (!ref.current || shown < 1) return;
    const { playing, doc } = useEditor.getState();
    const spare = playing ? 700 / framesPerSecond(doc?.rate ?? '25') : Infinity;
    const part = { left, top, scale };
    if (blur) paintBlurred(ref.current, time, sceneWidth, background, spare, part);
    else paintFrame(ref.current, time, sceneWidth, background, part);
  }, [
    shown,
    time,
    sceneWidth,
    background,
    left,
    top,
    scale,
    seen.width,
    seen.height,
    blur,
    playing,
    arrived,
  ]);
  return (
    <canvas
      ref={ref}
      role="img"
      aria-label={label}
      width={seen.width}
      height={seen.height}
      style={
        crop
          ? {
              width: seen.width / ratio,
              height: seen.height / ratio,
              left: left / ratio,
              top: top / ratio,
            }
          : { width, height }
      }
      className={`relative block ${background || clear ? '' : 'chequer'}`}
    />
  );
}
