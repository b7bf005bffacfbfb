import { useState } from 'react';
import {
  ArrowLeftRight,
  Flag,
  FlipHorizontal2,
  FlipVertical2,
  Maximize,
  Crosshair,
  RotateCw,
  Rows2,
  Scaling,
} from 'lucide-react';
import * as core from '../../core/core';
import type { GuidePath } from '../../core/document';
import { useEditor } from '../../state/editor';
import { addPath, editPath } from '../../state/paths';
import { NumberField } from '../../ui/NumberField';

/** The path as a whole: direction and start, place in the frame, scale, turn and mirror. */
export function PlaceTools({ path, closed }: { path: GuidePath; closed: boolean }) {
  const picking = useEditor((s) => s.pickStart);
  const [scale, setScale] = useState(120);
  const [turn, setTurn] = useState(15);
  const [distance, setDistance] = useState(60);
  const middle = () => {
    const [l = 0, t = 0, r = 0, b = 0] = core.bounds(path.id, useEditor.getState().time);
    return { x: (l + r) / 2, y: (t + b) / 2 };
  };
  const scaled = (sx: number, sy: number) => editPath('scale', { ...middle(), sx, sy });
  const icon = 'size-4';
  return (
    <div className="space-y-1.5">
      <div className="grid grid-cols-2 gap-1.5">
        <button type="button" className="btn" onClick={() => editPath('reverse')}>
          <ArrowLeftRight className={icon} /> Reverse
        </button>
        <button
          type="button"
          className={`btn ${picking ? 'border-teal bg-wash text-teal' : ''}`}
          disabled={!closed}
          aria-pressed={picking}
          title="Then click on the path where it is to start"
          onClick={() => useEditor.setState({ pickStart: !picking })}
        >
          <Flag className={icon} /> Set the start
        </button>
        <button type="button" className="btn" onClick={() => editPath('fit')}>
          <Maximize className={icon} /> Fit to frame
        </button>
        <button type="button" className="btn" onClick={() => editPath('centrePath')}>
          <Crosshair className={icon} /> Centre it
        </button>
        <button type="button" className="btn" onClick={() => scaled(-1, 1)}>
          <FlipHorizontal2 className={icon} /> Left–right
        </button>
        <button type="button" className="btn" onClick={() => scaled(1, -1)}>
          <FlipVertical2 className={icon} /> Up–down
        </button>
      </div>
      {picking && <p className="text-[12px] text-teal">Click on the path where it is to start.</p>}
      <WithButton label="Scale" unit="%" value={scale} onChange={setScale}>
        <button
          type="button"
          className="btn px-2"
          aria-label="Scale it"
          title="Scale it about its middle"
          onClick={() => scaled(scale / 100, scale / 100)}
        >
          <Scaling className={icon} />
        </button>
      </WithButton>
      <WithButton label="Turn by" unit="°" value={turn} onChange={setTurn}>
        <button
          type="button"
          className="btn px-2"
          aria-label="Turn it"
          title="Turn it about its middle"
          onClick={() => editPath('rotate', { ...middle(), angle: turn })}
        >
          <RotateCw className={icon} />
        </button>
      </WithButton>
      <WithButton label="Copy beside" unit="px" value={distance} onChange={setDistance}>
        <button
          type="button"
          className="btn px-2"
          aria-label="Copy beside"
          title="A parallel path at this distance, for a second row of text; negative: on the other side"
          onClick={() => addPath('parallelPath', { of: path.id, distance, seat: '' })}
        >
          <Rows2 className={icon} />
        </button>
      </WithButton>
    </div>
  );
}

interface WithButtonProps {
  label: string;
  unit: string;
  value: number;
  onChange: (value: number) => void;
  children: React.ReactNode;
}

function WithButton({ label, unit, value, onChange, children }: WithButtonProps) {
  return (
    <NumberField label={label} unit={unit} value={value} onChange={onChange}>
      {children}
    </NumberField>
  );
}
