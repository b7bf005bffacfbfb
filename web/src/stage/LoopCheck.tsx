import { useMemo, useState } from 'react';
import * as core from '../core/core';
import { framesPerSecond } from '../core/core';
import type { SceneDoc } from '../core/document';
import { applyEdit, useEditor } from '../state/editor';
import { Modal } from '../ui/Modal';
import { paintFrame } from './painter';

/** Opens the comparison of the first frame with the one after the last. */
export function LoopButton() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="text-[12px] font-normal text-teal underline"
        onClick={() => setOpen(true)}
      >
        compare first and last
      </button>
      {open && <LoopDialog onClose={() => setOpen(false)} />}
    </>
  );
}

interface Compared {
  url: string;
  worst: number;
  share: number;
}

/** Frame 0 and the frame after the last laid over each other, and what differs by number. */
function LoopDialog({ onClose }: { onClose: () => void }) {
  const doc = useEditor((s) => s.doc);
  const opened = useEditor((s) => s.opened);
  const frames = useEditor((s) => s.summary?.frames ?? 1);
  const found = useMemo(
    () => (doc && opened > 0 ? compare(doc, frames) : null),
    [doc, opened, frames],
  );
  if (!found) return null;
  const { url, worst, share } = found;
  const differences = core.loopCheck();
  return (
    <Modal title={`Frame 0 and frame ${frames}`} open onClose={onClose}>
      <img
        src={url}
        alt="Both frames laid over each other; what differs is dark"
        className="mb-2 max-h-72 w-full rounded-md border border-rule object-contain"
      />
      <p className="mb-2" data-testid="loop-result">
        {worst === 0
          ? 'Every pixel is the same: the loop closes.'
          : `They differ by up to ${worst} of 255, in ${(share * 100).toFixed(2)} % of the pixels.`}
      </p>
      <ul className="mb-3 space-y-1.5">
        {differences.map((d) => (
          <li key={`${d.item}.${d.channel}`} className="flex items-center gap-2">
            <span className="min-w-0 flex-1">{d.sentence}</span>
            {d.fixable && (
              <button
                type="button"
                className="btn"
                onClick={() => applyEdit({ op: 'closeLoop', item: d.item, channel: d.channel })}
              >
                Close it
              </button>
            )}
          </li>
        ))}
      </ul>
      <button type="button" className="btn-main" onClick={onClose}>
        Done
      </button>
    </Modal>
  );
}

function compare(doc: SceneDoc, frames: number): Compared {
  const width = Math.min(doc.width, 960);
  const height = Math.max(1, Math.round((width * doc.height) / doc.width));
  const data = [0, frames / framesPerSecond(doc.rate)].map((t) => {
    const canvas = document.createElement('canvas');
    Object.assign(canvas, { width, height });
    paintFrame(canvas, t, doc.width, doc.background);
    return canvas.getContext('2d')!.getImageData(0, 0, width, height);
  });
  const [a, b] = data as [ImageData, ImageData];
  let worst = 0;
  let many = 0;
  for (let i = 0; i < a.data.length; i += 4) {
    let d = 0;
    for (let k = 0; k < 4; k++) d = Math.max(d, Math.abs(a.data[i + k]! - b.data[i + k]!));
    worst = Math.max(worst, d);
    many += d > 0 ? 1 : 0;
    // Half of both; what differs is darkened.
    for (let k = 0; k < 3; k++)
      a.data[i + k] = ((a.data[i + k]! + b.data[i + k]!) / 2) * (1 - d / 400);
    a.data[i + 3] = Math.max(a.data[i + 3]!, b.data[i + 3]!);
  }
  const out = document.createElement('canvas');
  Object.assign(out, { width, height });
  out.getContext('2d')!.putImageData(a, 0, 0);
  return { url: out.toDataURL(), worst, share: many / (width * height) };
}
