import { useMemo } from 'react';
import * as core from '../core/core';
import type { Channel } from '../core/document';
import { useEditor } from '../state/editor';
import { changeLettering, setValue } from '../state/values';
import { letteringOf } from '../state/items';
import type { ToScene } from './coordinates';
import type { Put } from './perspective';
import { drag } from './drag';
import { puckDrag } from './itemDrags';
import { puckTold } from './PuckHint';
import { Steppable } from './Steppable';

interface SeatProps {
  id: string;
  stops: boolean;
  unit: number;
  toScene: ToScene;
  /** Where points of the path are seen; as they are where it is left out. */
  put?: Put;
}

const asIs: Put = (x, y, angle = 0) => [x, y, angle];

/** The puck, the handle of the baseline shift, the two margin stops, and the seam's. */
export function SeatHandles({ id, stops, unit, toScene, put = asIs }: SeatProps) {
  const time = useEditor((s) => s.time);
  const shown = useEditor((s) => s.shown);
  const round = useEditor((s) => s.summary?.items[id]?.comesRound ?? false);
  const spots = useMemo(() => {
    const at = shown > 0 ? core.handles(id, time) : new Float64Array();
    // In triples of a place and an angle.
    return Array.from({ length: Math.floor(at.length / 3) }, (_, i) =>
      put(at[3 * i]!, at[3 * i + 1]!, at[3 * i + 2]),
    ).flat();
  }, [id, time, shown, put]);
  if (spots.length < 15) return null;

  const puck = (e: React.PointerEvent) =>
    drag(e, toScene, puckDrag(id, toScene(e), unit), puckTold);

  const stop = (start: boolean) => (e: React.PointerEvent) =>
    drag(e, toScene, (x, y, event) => {
      const channel = start ? 'startMargin' : 'endMargin';
      setValue(
        id,
        channel,
        core.dragStop(id, start, useEditor.getState().time, x, y),
        event.altKey,
        channel,
      );
    });

  const seam = (e: React.PointerEvent) =>
    drag(e, toScene, (x, y) => {
      const seat = letteringOf(useEditor.getState().doc, id)?.seat;
      const seamGap = core.dragSeam(id, useEditor.getState().time, x, y);
      if (seat) changeLettering(id, { seat: { ...seat, seamGap } }, 'seam');
    });

  const shift = (e: React.PointerEvent) =>
    drag(e, toScene, (x, y, event) => {
      const to = core.dragShift(id, useEditor.getState().time, x, y);
      setValue(id, 'baselineShift', to, event.altKey, 'shift');
    });
  /** By keys, so much farther from where it stands. */
  const step = (channel: Channel, by: number) =>
    setValue(id, channel, core.value(id, channel, useEditor.getState().time) + by, false, 'step');
  const widen = (by: number) => {
    const seat = letteringOf(useEditor.getState().doc, id)?.seat;
    const seamGap = Math.max(0, (seat?.seamGap ?? 0) + by);
    if (seat) changeLettering(id, { seat: { ...seat, seamGap } }, 'step');
  };
  const lifted = Math.hypot(spots[9]! - spots[0]!, spots[10]! - spots[1]!) > 14 * unit;

  return (
    <g>
      {stops && round && (
        <Steppable
          label="Handle of the seam gap"
          onStep={(x, y) => widen(x - y)}
          transform={`translate(${spots[12]} ${spots[13]}) rotate(${spots[14]}) scale(${unit})`}
          className="cursor-ew-resize"
          onPointerDown={seam}
          data-testid="seam"
        >
          <title>Seam gap: drag along the path to keep room free at the join</title>
          <path d="M-8 8H8V26H-8Z" fill="transparent" />
          <path d="M-5 12H5L0 20Z" className="fill-sheet stroke-teal" strokeWidth="2" />
        </Steppable>
      )}
      {stops && lifted && (
        <Steppable
          label="Handle of the baseline shift"
          onStep={(x, y) => step('baselineShift', x - y)}
          className="cursor-ns-resize"
          onPointerDown={shift}
        >
          <title>Baseline shift: drag away from the path or into it</title>
          <path
            d={`M${spots[0]} ${spots[1]}L${spots[9]} ${spots[10]}`}
            className="stroke-teal"
            strokeWidth={unit}
          />
          <circle
            cx={spots[9]}
            cy={spots[10]}
            r={11 * unit}
            fill="transparent"
            data-testid="shift"
          />
          <rect
            x={spots[9]! - 4.5 * unit}
            y={spots[10]! - 4.5 * unit}
            width={9 * unit}
            height={9 * unit}
            className="fill-sheet stroke-teal"
            strokeWidth={2 * unit}
          />
        </Steppable>
      )}
      {stops &&
        [true, false].map((start) => {
          const i = start ? 3 : 6;
          return (
            <Steppable
              key={String(start)}
              label={start ? 'Stop of the start margin' : 'Stop of the end margin'}
              onStep={(x, y) => step(start ? 'startMargin' : 'endMargin', start ? x - y : y - x)}
              transform={`translate(${spots[i]} ${spots[i + 1]}) rotate(${spots[i + 2]}) scale(${unit})`}
              className="cursor-ew-resize"
              onPointerDown={stop(start)}
              data-testid={start ? 'start-stop' : 'end-stop'}
            >
              <title>
                {start ? 'Start margin: drag along the path' : 'End margin: drag along the path'}
              </title>
              <rect x="-9" y="-15" width="18" height="30" fill="transparent" />
              <path
                d={start ? 'M0-12V12M0-12H5M0 12H5' : 'M0-12V12M0-12H-5M0 12H-5'}
                className="stroke-vermilion"
                fill="none"
                strokeWidth="2.5"
              />
            </Steppable>
          );
        })}
      <Steppable
        label="Words along the path, and off it"
        onStep={(x, y) => (x ? step('pathOffset', x) : step('baselineShift', -y))}
        transform={`translate(${spots[0]} ${spots[1]}) scale(${unit})`}
        className="cursor-grab"
        onPointerDown={puck}
        data-testid="puck"
      >
        <title>
          Puck: drag along the path for the path offset, across it for the baseline shift
        </title>
        <circle r="13" fill="transparent" />
        <circle r="6.5" className="fill-sheet stroke-teal" strokeWidth="3" />
      </Steppable>
    </g>
  );
}
