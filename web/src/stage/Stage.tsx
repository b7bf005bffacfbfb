import { useLayoutEffect, useRef, useState } from 'react';
import { framesPerSecond } from '../core/core';
import { SceneSettings } from '../shell/SceneSettings';
import { useEditor } from '../state/editor';
import { addLettering } from '../state/itemActions';
import { FrameCanvas } from './FrameCanvas';
import { Overlay } from './Overlay';
import { Poses } from './Poses';
import { ProofList } from './ProofList';
import { useAchieved } from './playback';
import { dropOnStage } from './pictureDrop';
import { StackStrip } from './StackStrip';
import { TracingLayer } from './TracingLayer';
import { Transport } from './Transport';

/** The middle column: stack, picture, transport, poses, proof. */
export function StageColumn() {
  const full = useEditor((s) => s.full);
  return (
    <main
      className="flex min-w-0 flex-1 flex-col bg-surround px-2.5 pt-1 pb-2"
      aria-label="Stage"
      onDrop={dropOnStage}
    >
      {!full && <StackStrip />}
      <Picture />
      <Transport />
      {!full && (
        <div className="flex max-h-[34%] min-h-0 shrink-0 flex-col gap-2 overflow-y-auto">
          <Poses />
          <ProofList />
        </div>
      )}
    </main>
  );
}

/** Room round the frame, px: what lies a little outside is seen and can be taken hold of. */
const SURROUND = 24;

/** The frame, as large as the column lets it be. */
function Picture() {
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState<[number, number]>([0, 0]);
  const doc = useEditor((s) => s.doc);
  const time = useEditor((s) => s.time);
  const full = useEditor((s) => s.full);
  const shown = useEditor((s) => s.shown);
  // Pictures to trace lie under the lettering, and only where lines are drawn.
  const tracing = useEditor(
    (s) =>
      !s.full && s.tab === 'path' && s.overlays.template && (s.doc?.templates?.length ?? 0) > 0,
  );
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setRoom([element.clientWidth, element.clientHeight]));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  // One size on every sheet: paths begin and end outside the frame, and stay in reach there.
  const beside = full ? 0 : SURROUND;
  const fit = doc
    ? Math.min((room[0] - 2 * beside) / doc.width, (room[1] - 2 * beside) / doc.height)
    : 0;
  const whole = (v: number) => Math.round(v * devicePixelRatio) / devicePixelRatio;
  const width = doc ? whole(doc.width * fit) : 0;
  const height = doc ? whole(doc.height * fit) : 0;
  const scale = doc ? width / doc.width : 0;
  const place = { left: whole((room[0] - width) / 2), top: whole((room[1] - height) / 2) };
  return (
    <>
      {!full && doc && (
        <div className="flex h-7 shrink-0 items-center justify-between text-[12px] text-soft">
          <SceneSettings />
          <span className="flex gap-3">
            <AchievedRate />
            Fit {Math.round(scale * 100)} %
          </span>
        </div>
      )}
      <div
        ref={box}
        className={`relative min-h-40 flex-1 overflow-clip ${full ? '' : '-mx-2.5'}`}
        style={
          full || !doc
            ? undefined
            : { maxHeight: ((room[0] - 2 * beside) * doc.height) / doc.width + 2 * beside }
        }
      >
        {doc && scale > 0 && (
          <div className="absolute shadow-sm" style={{ width, height, ...place }} data-frame>
            {tracing && <TracingLayer />}
            <FrameCanvas
              shown={shown}
              time={time}
              width={width}
              height={height}
              label="The frame at the playhead"
              blur
              clear={tracing}
            />
            {!full && <Overlay unit={1 / scale} />}
            {doc.items.every((i) => i.kind === 'colour-field') && !full && (
              <div className="pointer-events-none absolute inset-0 flex flex-col items-center justify-center gap-3 text-center">
                <p className="rounded-md bg-sheet/90 px-3 py-2">
                  Begin with words: they get a circle to travel on, and you choose the path next.
                </p>
                <button
                  type="button"
                  className="btn-main pointer-events-auto"
                  onClick={addLettering}
                >
                  Add a lettering
                </button>
              </div>
            )}
          </div>
        )}
      </div>
    </>
  );
}

/** How many frames a second are really shown, while playing. */
function AchievedRate() {
  const rate = useAchieved((s) => s.rate);
  const fps = useEditor((s) => framesPerSecond(s.doc?.rate ?? '25'));
  if (rate === null) return null;
  const wanted = fps.toFixed(fps % 1 ? 3 : 0);
  const slow = rate < fps * 0.95;
  return (
    <span role="status" data-testid="achieved" className={slow ? 'text-ochre' : ''}>
      {slow ? `${rate.toFixed(1)} of ${wanted} fps: frames are skipped` : `${wanted} fps`}
    </span>
  );
}
