import * as core from '../../core/core';
import { useEditor } from '../../state/editor';
import { FrameStill } from '../dress/FootageStrip';

/** The frame that footage of the scene shows at a cue; nothing where there is none. */
export function CueStill({ time }: { time: number }) {
  const shown = useEditor((s) => s.shown);
  const [image, moment] = shown < 1 ? [] : core.footageAt(time);
  if (image === undefined || moment === undefined) return null;
  return (
    <span className="shrink-0 overflow-hidden rounded border border-rule" data-testid="cue-still">
      <FrameStill image={core.image(image)} moment={moment} width={48} height={27} />
    </span>
  );
}
