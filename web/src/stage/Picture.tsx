import { useRef } from 'react';
import { framesPerSecond } from '../core/core';
import type { SceneDoc } from '../core/document';
import { sceneOf } from '../shell/address';
import { SceneSettings } from '../shell/SceneSettings';
import { useEditor } from '../state/editor';
import { Beginning } from './Beginning';
import { stillOf } from '../still';
import { FrameCanvas, type Crop } from './FrameCanvas';
import { Overlay } from './Overlay';
import { useAchieved } from './playback';
import { PuckHint } from './PuckHint';
import { Rulers } from './Rulers';
import { TextInPlace } from './TextInPlace';
import { TracingLayer } from './TracingLayer';
import { usePanZoom, useRoom } from './usePanZoom';
import { standing, SURROUND, useView, type Standing } from './view';
import { ZoomMenu } from './ZoomMenu';

/** The frame and what lies round it, as large as the column lets it be, or as it is zoomed. */
export function Picture() {
  const box = useRef<HTMLDivElement>(null);
  const doc = useEditor((s) => s.doc);
  const full = useEditor((s) => s.full);
  const view = useView();
  useRoom(box);
  usePanZoom(box, !full);
  const beside = full ? 0 : SURROUND;
  const seen = full ? { ...view, zoom: null } : view;
  const frame = doc && standing(doc, seen, beside);
  const sceneHere = sceneOf(location.hash);
  return (
    <>
      {!full && doc && (
        <div className="flex h-7 shrink-0 items-center justify-between text-[12px] text-soft">
          <SceneSettings />
          <span className="flex items-center gap-3">
            <AchievedRate />
            {frame && frame.scale > 0 && <ZoomMenu frame={frame} />}
          </span>
        </div>
      )}
      <div
        ref={box}
        className={`relative min-h-28 flex-1 touch-none overflow-clip ${full ? '' : '-mx-2.5'}`}
        data-testid="stage-room"
      >
        {!doc && sceneHere && (
          <img
            data-still
            src={stillOf(sceneHere)}
            alt="The scene, until it can be edited"
            className="absolute inset-6 h-[calc(100%-3rem)] w-[calc(100%-3rem)] object-contain"
            onError={(e) => (e.currentTarget.hidden = true)}
          />
        )}
        {doc && frame && frame.scale > 0 && (
          <>
            <Frame
              doc={doc}
              frame={frame}
              crop={seen.zoom === null ? undefined : cropOf(frame, view.room)}
            />
            {!full && <Overlay frame={frame} />}
            {!full && <Rulers frame={frame} />}
            {!full && <PuckHint />}
            {!full && <TextInPlace />}
            {!full && doc.items.every((i) => i.kind === 'colour-field') && <Beginning />}
          </>
        )}
      </div>
    </>
  );
}

interface FrameProps {
  doc: SceneDoc;
  frame: Standing;
  crop: Crop | undefined;
}

function Frame({ doc, frame: { left, top, width, height }, crop }: FrameProps) {
  const time = useEditor((s) => s.time);
  const shown = useEditor((s) => s.shown);
  const painted = useEditor((s) => s.opened > 0);
  const sceneId = useEditor((s) => s.sceneId);
  // Pictures to trace lie under the lettering, and only where lines are drawn.
  const tracing = useEditor(
    (s) => !s.full && s.tab === 'path' && s.overlays.template && (doc.templates?.length ?? 0) > 0,
  );
  const outOfSight = crop && (crop.width <= 0 || crop.height <= 0);
  return (
    <div className="absolute shadow-sm" style={{ width, height, left, top }} data-frame>
      {tracing && <TracingLayer />}
      {!painted && sceneId && (
        <img
          data-still
          src={stillOf(sceneId)}
          alt=""
          className="absolute inset-0 size-full"
          onError={(e) => (e.currentTarget.hidden = true)}
        />
      )}
      {!outOfSight && (
        <FrameCanvas
          shown={shown}
          time={time}
          width={width}
          height={height}
          crop={crop}
          label="The frame at the playhead"
          blur
          clear={tracing}
        />
      )}
    </div>
  );
}

/** The part of a frame that can be seen on the stage, in whole pixels of the device. */
function cropOf({ left, top, width, height }: Standing, [across, down]: [number, number]): Crop {
  const ratio = window.devicePixelRatio || 1;
  const [l, t] = [Math.round(Math.max(-left, 0) * ratio), Math.round(Math.max(-top, 0) * ratio)];
  const r = Math.min(Math.round(width * ratio), Math.ceil((across - left) * ratio));
  const b = Math.min(Math.round(height * ratio), Math.ceil((down - top) * ratio));
  return { left: l, top: t, width: r - l, height: b - t };
}

/** How many frames a second are really shown, while playing. */
function AchievedRate() {
  const rate = useAchieved((s) => s.rate);
  const fps = useEditor((s) => framesPerSecond(s.doc?.rate ?? '25'));
  const speed = useAchieved((s) => s.speed);
  const playing = useEditor((s) => s.playing);
  if (playing && speed !== 1) {
    return (
      <span role="status">
        {speed < 0 ? 'Backwards' : 'On'}, {Math.abs(speed)} ×
      </span>
    );
  }
  if (rate === null) return null;
  const wanted = fps.toFixed(fps % 1 ? 3 : 0);
  const slow = rate < fps * 0.95;
  return (
    <span role="status" data-testid="achieved" className={slow ? 'text-ochre' : ''}>
      {slow ? `${rate.toFixed(1)} of ${wanted} fps: frames are skipped` : `${wanted} fps`}
    </span>
  );
}
