import { useLayoutEffect, useRef, useState } from 'react';
import { SceneSettings } from '../shell/SceneSettings';
import { useEditor } from '../state/editor';
import { addLettering } from '../state/making';
import { FrameCanvas } from './FrameCanvas';
import { Overlay } from './Overlay';
import { Poses } from './Poses';
import { ProofList } from './ProofList';
import { StackStrip } from './StackStrip';
import { Transport } from './Transport';

/** The middle column: stack, picture, transport, poses, proof. */
export function StageColumn() {
  const full = useEditor((s) => s.full);
  return (
    <main className="flex min-w-0 flex-1 flex-col bg-surround px-3.5 pt-1 pb-2" aria-label="Stage">
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

/** The frame, as large as the column lets it be. */
function Picture() {
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState<[number, number]>([0, 0]);
  const doc = useEditor((s) => s.doc);
  const time = useEditor((s) => s.time);
  const full = useEditor((s) => s.full);
  const opened = useEditor((s) => s.opened);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setRoom([element.clientWidth, element.clientHeight]));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const scale = doc ? Math.min(room[0] / doc.width, room[1] / doc.height) : 0;
  const [width, height] = doc ? [doc.width * scale, doc.height * scale] : [0, 0];
  return (
    <>
      {!full && doc && (
        <div className="flex h-7 shrink-0 items-center justify-between text-[12px] text-soft">
          <SceneSettings />
          <span>Fit {Math.round(scale * 100)} %</span>
        </div>
      )}
      <div
        ref={box}
        className="relative flex min-h-40 flex-1 items-center justify-center overflow-clip"
      >
        {doc && scale > 0 && (
          <div className="relative shrink-0 shadow-sm" style={{ width, height }}>
            <FrameCanvas
              opened={opened}
              time={time}
              width={width}
              height={height}
              label="The frame at the playhead"
            />
            {!full && <Overlay unit={1 / scale} />}
            {doc.letterings.length === 0 && !full && (
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
