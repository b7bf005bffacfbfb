import { useEditor, type Drawing } from '../../state/editor';
import type { SceneDoc } from '../../core/document';
import { pictureOf } from '../../state/items';
import { finishDrawing, startDrawing } from '../../state/paths';
import { Choice } from '../../ui/Choice';

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
  edges: [
    'Click where an edge begins and move along it: the line clings to it.',
    'Click to hold it, most of all before it leaves the edge.',
    'Ctrl lets it go straight.',
    'Click the first point to close it.',
    'Backspace takes the last piece back, Esc gives all of them up.',
  ],
  freehand: [
    'Press, draw, let go.',
    'Ending near the beginning closes the line.',
    'How steady and how simple it is can be changed afterwards.',
  ],
};

/** How the edge of a part can be drawn: only pictures have edges to cling to. */
function ways(doc: SceneDoc | null, cut: string): { value: Drawing['mode']; label: string }[] {
  const edges = pictureOf(doc, cut) ? [{ value: 'edges' as const, label: 'Clings to edges' }] : [];
  return [
    ...edges,
    { value: 'curve', label: 'Point by point' },
    { value: 'freehand', label: 'By hand' },
  ];
}

/** What to do while drawing. */
export function DrawingSheet({ drawing }: { drawing: Drawing }) {
  const doc = useEditor((s) => s.doc);
  const count = drawing.mode === 'edges' ? (drawing.stops ?? []).length : drawing.knots.length;
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
      {drawing.cut && (
        <Choice
          label="Line"
          value={drawing.mode}
          options={ways(doc, drawing.cut)}
          onChange={(mode) => startDrawing(mode, drawing.cut)}
        />
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
