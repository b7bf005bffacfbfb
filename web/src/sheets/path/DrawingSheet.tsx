import { useEditor, type Drawing } from '../../state/editor';
import { finishDrawing } from '../../state/paths';

const STEPS: Record<Drawing['mode'], string[]> = {
  curve: [
    'Click for a point, press and drag to bend the line.',
    'Shift keeps it level, upright or at 45°.',
    'Click the first point to close it.',
    'Backspace takes the last point back, Esc gives all of them up.',
    'Enter ends the curve.',
  ],
  smooth: [
    'Click the places that the line is to go through.',
    'Click the first one to close it.',
    'Backspace takes the last point back, Esc gives all of them up.',
    'Enter ends the curve.',
  ],
  freehand: [
    'Press, draw, let go.',
    'Ending near the beginning closes the line.',
    'How steady and how simple it is can be changed afterwards.',
  ],
};

/** What to do while drawing. */
export function DrawingSheet({ drawing }: { drawing: Drawing }) {
  const count = drawing.knots.length;
  const setAuto = (auto: boolean) => useEditor.setState({ drawing: { ...drawing, auto } });
  return (
    <section className="section">
      <h2 className="section-title">Drawing</h2>
      {drawing.cut && (
        <p className="mb-2 rounded-lg bg-paper p-3">
          Draw round what is to be brought forward. The line is closed by itself; its points can be
          moved afterwards.
        </p>
      )}
      <ul className="mb-3 list-disc space-y-1 pl-4">
        {STEPS[drawing.mode].map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ul>
      {drawing.mode === 'curve' && (
        <label className="mb-3 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-teal"
            checked={drawing.auto}
            onChange={(e) => setAuto(e.target.checked)}
          />
          Smooth by itself
        </label>
      )}
      <button type="button" className="btn-main" onClick={() => finishDrawing(false)}>
        {count < 2 ? 'Stop drawing' : `End the curve with ${count} points`}
      </button>
    </section>
  );
}
