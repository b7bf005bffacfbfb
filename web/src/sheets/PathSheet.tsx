import { ArrowLeftRight, Circle, Spline, Trash2 } from 'lucide-react';
import type { CirclePath, DrawnPath, GuidePath, Lettering } from '../core/document';
import { applyEdit, change, changeLettering, useEditor } from '../state/editor';
import { addCircle, finishDrawing, startDrawing } from '../state/making';
import { Choice, Segments } from '../ui/Choice';
import { NumberField } from '../ui/NumberField';

/** The line of the chosen lettering: which one, its numbers, its points. */
export function PathSheet({ lettering }: { lettering: Lettering }) {
  const paths = useEditor((s) => s.doc?.paths ?? []);
  const length = useEditor((s) => s.summary?.paths[lettering.path]?.length ?? 0);
  const drawing = useEditor((s) => s.drawing);
  const path = paths.find((p) => p.id === lettering.path);
  if (!path) return null;
  if (drawing) return <DrawingHelp count={drawing.length} />;
  return (
    <>
      <section className="section">
        <h2 className="section-title">New path</h2>
        <div className="grid grid-cols-2 gap-2">
          <Card label="Circle" onClick={addCircle}>
            <Circle className="size-7" strokeWidth={1.5} />
          </Card>
          <Card label="Draw a curve" onClick={startDrawing}>
            <Spline className="size-7" strokeWidth={1.5} />
          </Card>
        </div>
      </section>
      <section className="section">
        <h2 className="section-title flex justify-between">
          This path <span className="font-normal text-soft">{length.toFixed(1)} px long</span>
        </h2>
        <Choice
          label="Sits on"
          value={path.id}
          options={paths.map((p) => ({
            value: p.id,
            label: p.name,
            detail: p.kind === 'circle' ? 'circle' : `${p.points.length} points`,
          }))}
          onChange={(id) => changeLettering(lettering.id, { path: id })}
        />
        <div className="mb-1.5 flex items-center gap-2">
          <label htmlFor="path-name" className="w-23 shrink-0 text-soft">
            Name
          </label>
          <input
            id="path-name"
            className="field"
            maxLength={200}
            value={path.name}
            onChange={(e) => changePath({ ...path, name: e.target.value }, 'path-name')}
          />
        </div>
        {path.kind === 'circle' ? <CircleNumbers path={path} /> : <DrawnTools path={path} />}
        <button
          type="button"
          className="btn mt-1 w-full"
          onClick={() => applyEdit({ op: 'reverse', path: path.id })}
        >
          <ArrowLeftRight className="size-4" /> Reverse the direction
        </button>
      </section>
    </>
  );
}

function changePath(path: GuidePath, merge = '') {
  return change((d) => ({ ...d, paths: d.paths.map((p) => (p.id === path.id ? path : p)) }), merge);
}

interface CardProps {
  label: string;
  onClick: () => void;
  children: React.ReactNode;
}

function Card({ label, onClick, children }: CardProps) {
  return (
    <button
      type="button"
      className="flex flex-col items-start gap-1.5 rounded-lg border border-rule p-2.5 text-left hover:border-teal hover:bg-wash"
      onClick={onClick}
    >
      <span className="text-vermilion">{children}</span>
      {label}
    </button>
  );
}

function CircleNumbers({ path }: { path: CirclePath }) {
  const put = (parts: Partial<CirclePath>) =>
    changePath({ ...path, ...parts }, `circle.${path.id}`);
  return (
    <>
      <NumberField
        label="Centre x"
        unit="px"
        value={path.centre[0]}
        onChange={(v) => put({ centre: [v, path.centre[1]] })}
      />
      <NumberField
        label="Centre y"
        unit="px"
        value={path.centre[1]}
        onChange={(v) => put({ centre: [path.centre[0], v] })}
      />
      <NumberField
        label="Radius"
        unit="px"
        value={path.radius}
        onChange={(radius) => put({ radius })}
      />
      <NumberField
        label="Start angle"
        unit="°"
        value={path.startAngle}
        onChange={(startAngle) => put({ startAngle })}
      />
      <Segments
        label="Direction"
        value={path.direction}
        options={[
          { value: 'clockwise', label: 'Clockwise' },
          { value: 'counterclockwise', label: 'Counter', detail: 'Counterclockwise' },
        ]}
        onChange={(direction) => put({ direction })}
      />
    </>
  );
}

function DrawnTools({ path }: { path: DrawnPath }) {
  const point = useEditor((s) => s.point);
  const chosen = point === null ? undefined : path.points[point];
  const edit = (op: string, more = {}) => applyEdit({ op, path: path.id, ...more });
  return (
    <>
      <Segments
        label="Ends"
        value={path.closed ? 'closed' : 'open'}
        options={[
          { value: 'open', label: 'Open' },
          { value: 'closed', label: 'Closed' },
        ]}
        onChange={(v) => edit(v === 'closed' ? 'close' : 'open')}
      />
      <p className="my-2 text-[12px] text-soft">
        {path.points.length} points. Double-click the line to add one; drag the line to move it all.
      </p>
      {chosen && point !== null && (
        <div className="mb-2 rounded-lg bg-paper p-2.5">
          <p className="mb-1.5 font-semibold">Point {point + 1}</p>
          <NumberField
            label="x"
            unit="px"
            value={chosen.x}
            onChange={(x) => edit('movePoint', { index: point, x, y: chosen.y })}
          />
          <NumberField
            label="y"
            unit="px"
            value={chosen.y}
            onChange={(y) => edit('movePoint', { index: point, x: chosen.x, y })}
          />
          <Segments
            label="Kind"
            value={chosen.smooth ? 'smooth' : 'corner'}
            options={[
              { value: 'smooth', label: 'Smooth' },
              { value: 'corner', label: 'Corner' },
            ]}
            onChange={(op) => edit(op, { index: point })}
          />
          <button type="button" className="btn w-full" onClick={deletePoint}>
            <Trash2 className="size-4" /> Delete the point
          </button>
        </div>
      )}
    </>
  );
}

/** Deletes the chosen point of the chosen lettering's path. */
export function deletePoint(): void {
  const { doc, selected, point } = useEditor.getState();
  const path = doc?.letterings.find((l) => l.id === selected)?.path;
  if (path === undefined || point === null) return;
  if (applyEdit({ op: 'delete', path, index: point }).length === 0) {
    useEditor.setState({ point: null });
  }
}

function DrawingHelp({ count }: { count: number }) {
  return (
    <section className="section">
      <h2 className="section-title">Drawing</h2>
      <ul className="mb-3 list-disc space-y-1 pl-4">
        <li>Click for a point, press and drag to bend the line.</li>
        <li>Click the first point to close it.</li>
        <li>Enter or Esc ends the curve.</li>
      </ul>
      <button type="button" className="btn-main" onClick={() => finishDrawing(false)}>
        {count < 2 ? 'Stop drawing' : `End the curve with ${count} points`}
      </button>
    </section>
  );
}
