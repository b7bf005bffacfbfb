import { useState } from 'react';
import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignHorizontalSpaceAround,
  AlignStartHorizontal,
  AlignStartVertical,
  AlignVerticalSpaceAround,
  Scissors,
  Trash2,
} from 'lucide-react';
import * as core from '../../core/core';
import type { DrawnPath, Knot, SmoothPath } from '../../core/document';
import { useEditor } from '../../state/editor';
import { newId } from '../../state/itemActions';
import { deletePoints, editPath, pointsOf } from '../../state/paths';
import { Choice, Segments } from '../../ui/Choice';
import { IconButton } from '../../ui/IconButton';
import { NumberField } from '../../ui/NumberField';
import { useRestingTime } from '../../state/restingTime';

/** The points of a drawn or smooth path: all of them, and the chosen ones. */
export function PointTools({ path }: { path: DrawnPath | SmoothPath }) {
  const chosen = useEditor((s) => s.points);
  const time = useRestingTime();
  const points = pointsOf(path, time);
  const all = () => useEditor.setState({ points: points.map((_, i) => i) });
  return (
    <>
      {path.kind === 'smooth' && (
        <Segments
          label="Goes"
          value={path.rule}
          options={[
            { value: 'through', label: 'Through', detail: 'Through the points' },
            { value: 'near', label: 'Near', detail: 'Near the points, smoother still' },
          ]}
          onChange={(rule) => editPath('rule', { rule })}
        />
      )}
      <Segments
        label="Ends"
        value={path.closed ? 'close' : 'open'}
        options={[
          { value: 'open', label: 'Open' },
          { value: 'close', label: 'Closed' },
        ]}
        onChange={(op) => editPath(op)}
      />
      <p className="my-2 flex items-center justify-between gap-2 text-[12px] text-soft">
        {points.length} points{chosen.length > 0 ? `, ${chosen.length} chosen` : ''}
        <button type="button" className="font-medium text-teal underline" onClick={all}>
          Choose all
        </button>
      </p>
      {chosen.length === 0 && (
        <p className="mb-2 text-[12px] text-soft">
          Click a point or draw a box round some. Double-click the line to add one.
        </p>
      )}
      {chosen.length > 0 && <Chosen path={path} points={points} chosen={chosen} />}
      {path.kind === 'drawn' && <Simplify key={path.id} path={path} count={points.length} />}
      {path.kind === 'smooth' && (
        <button type="button" className="btn mt-1 w-full" onClick={() => editPath('toPoints')}>
          Turn into points with handles
        </button>
      )}
      {!path.closed && <Join path={path} />}
    </>
  );
}

interface ChosenProps {
  path: DrawnPath | SmoothPath;
  points: Knot[];
  chosen: number[];
}

function Chosen({ path, points, chosen }: ChosenProps) {
  const first = points[chosen[0] ?? 0];
  const one = chosen.length === 1;
  if (!first) return null;
  const kinds = new Set(chosen.map((i) => points[i]?.kind));
  return (
    <div className="mb-2 rounded-lg bg-paper p-2.5" data-testid="chosen-points">
      <p className="mb-1.5 font-semibold">
        {one ? `Point ${(chosen[0] ?? 0) + 1}` : `${chosen.length} points`}
      </p>
      {one && (
        <>
          <NumberField
            label="x"
            unit="px"
            value={first.x}
            onChange={(x) => editPath('movePoint', { index: chosen[0], x, y: first.y }, 'point')}
          />
          <NumberField
            label="y"
            unit="px"
            value={first.y}
            onChange={(y) => editPath('movePoint', { index: chosen[0], x: first.x, y }, 'point')}
          />
        </>
      )}
      {path.kind === 'drawn' && (
        <>
          <Segments
            label="Handles"
            stacked
            value={kinds.size === 1 ? first.kind : 'mixed'}
            options={[
              { value: 'corner', label: 'Free', detail: 'A corner: handles move apart' },
              { value: 'smooth', label: 'Smooth', detail: 'Handles in line' },
              { value: 'symmetric', label: 'Even', detail: 'In line and of one length' },
            ]}
            onChange={(kind) => kind !== 'mixed' && editPath('kind', { indexes: chosen, kind })}
          />
          <button
            type="button"
            className="btn mb-1.5 w-full"
            onClick={() => editPath('smooth', { indexes: chosen })}
          >
            Smooth the line here
          </button>
        </>
      )}
      {!one && <AlignButtons indexes={chosen} />}
      <div className="flex gap-1.5">
        {one && path.kind === 'drawn' && (
          <button
            type="button"
            className="btn flex-1"
            title={path.closed ? 'Open the path at this point' : 'Make two paths of it'}
            onClick={() => editPath('cut', { index: chosen[0], id: newId() })}
          >
            <Scissors className="size-4" /> Cut here
          </button>
        )}
        <button type="button" className="btn flex-1" onClick={deletePoints}>
          <Trash2 className="size-4" /> Delete
        </button>
      </div>
    </div>
  );
}

const EDGES = [
  { edge: 'left', label: 'Line up on the left', icon: AlignStartVertical },
  { edge: 'centre', label: 'Line up on the centre', icon: AlignCenterVertical },
  { edge: 'right', label: 'Line up on the right', icon: AlignEndVertical },
  { edge: 'top', label: 'Line up on the top', icon: AlignStartHorizontal },
  { edge: 'middle', label: 'Line up on the middle', icon: AlignCenterHorizontal },
  { edge: 'bottom', label: 'Line up on the bottom', icon: AlignEndHorizontal },
] as const;

function AlignButtons({ indexes }: { indexes: number[] }) {
  const many = indexes.length > 2;
  return (
    <div className="mb-1.5 flex justify-between">
      {EDGES.map(({ edge, label, icon: Icon }) => (
        <IconButton key={edge} label={label} onClick={() => editPath('align', { indexes, edge })}>
          <Icon className="size-4" />
        </IconButton>
      ))}
      <IconButton
        label="Even steps across"
        disabled={!many}
        onClick={() => editPath('distribute', { indexes, across: true })}
      >
        <AlignHorizontalSpaceAround className="size-4" />
      </IconButton>
      <IconButton
        label="Even steps down"
        disabled={!many}
        onClick={() => editPath('distribute', { indexes, across: false })}
      >
        <AlignVerticalSpaceAround className="size-4" />
      </IconButton>
    </div>
  );
}

/** Fewer points within a tolerance; how many is told before it is done. */
function Simplify({ path, count }: { path: DrawnPath; count: number }) {
  const [tolerance, setTolerance] = useState(2);
  const [after, setAfter] = useState<number | null>(null);
  const look = (t: number) => {
    setTolerance(Math.max(0.01, t));
    setAfter(core.simplified(path.id, t, useEditor.getState().time));
  };
  const apply = () => {
    editPath('simplify', { tolerance });
    setAfter(null);
    useEditor.setState({ points: [] });
  };
  return (
    <div className="mt-1 border-t border-rule pt-2">
      <NumberField
        label="May differ by"
        unit="px"
        decimals={2}
        value={tolerance}
        step={0.5}
        onChange={look}
      />
      <button
        type="button"
        className="btn w-full"
        onMouseEnter={() => look(tolerance)}
        onFocus={() => look(tolerance)}
        onClick={apply}
      >
        {after === null ? 'Simplify' : `Simplify: ${count} points to ${after}`}
      </button>
    </div>
  );
}

function Join({ path }: { path: DrawnPath | SmoothPath }) {
  const paths = useEditor((s) => s.doc?.paths) ?? [];
  const summary = useEditor((s) => s.summary);
  const open = paths.filter((p) => p.id !== path.id && !summary?.paths[p.id]?.closed);
  if (open.length === 0) return null;
  return (
    <div className="mt-1.5">
      <Choice
        label="Join with"
        value=""
        options={[
          { value: '', label: 'another open path' },
          ...open.map((p) => ({ value: p.id, label: p.name })),
        ]}
        onChange={(other) => other && editPath('join', { other })}
      />
    </div>
  );
}
