import { useMemo } from 'react';
import * as core from '../core/core';
import { applyEdit, useEditor } from '../state/editor';
import { letteringsOf } from '../state/items';
import { drag } from '../stage/drag';
import type { PartProps } from './Chart';
import type { Scale } from './scale';

/** Samples of the core as path data of the chart. */
export function linePath(samples: Float64Array, scale: Scale): string {
  let d = '';
  for (let i = 0; i < samples.length; i += 4) {
    d += `${i === 0 ? 'M' : 'L'}${scale.x(samples[i + 1]!).toFixed(1)} ${scale.y(samples[i]!).toFixed(1)}`;
  }
  return d;
}

/** From the tail of the text to its head. */
export function Band({ samples, scale }: { samples: Float64Array; scale: Scale }) {
  let tail = '';
  let head = '';
  for (let i = 0; i < samples.length; i += 4) {
    const y = scale.y(samples[i]!).toFixed(1);
    tail += `${i === 0 ? 'M' : 'L'}${scale.x(samples[i + 2]!).toFixed(1)} ${y}`;
    head = `L${scale.x(samples[i + 3]!).toFixed(1)} ${y}${head}`;
  }
  return samples.length > 0 ? (
    <path d={`${tail}${head}Z`} className="fill-teal" opacity={0.16} />
  ) : null;
}

/** The ways of the other letterings, each in shares of its own path. */
export function OtherLines({ item, scale }: { item: string; scale: Scale }) {
  const doc = useEditor((s) => s.doc);
  const opened = useEditor((s) => s.opened);
  const lines = useMemo(
    () =>
      opened < 1 || !scale.length
        ? []
        : letteringsOf(doc).flatMap((l) => {
            const info = useEditor.getState().summary?.items[l.id];
            if (l.id === item || l.hidden || !info?.length || !info.moving.includes('pathOffset')) {
              return [];
            }
            const n = core.journey(l.id, 'pathOffset', 60);
            const share = (scale.length ?? 1) / info.length;
            return [
              {
                id: l.id,
                text: l.text,
                d: linePath(
                  n.map((v, i) => (i % 4 ? v * share : v)),
                  scale,
                ),
              },
            ];
          }),
    [doc, opened, item, scale],
  );
  return (
    <g fill="none" className="stroke-soft" strokeDasharray="4 4">
      {lines.map((l) => (
        <path key={l.id} d={l.d}>
          <title>{l.text}</title>
        </path>
      ))}
    </g>
  );
}

/** Named moments as level lines; drag one to another time. */
export function CueLines({ scale, toChart }: Pick<PartProps, 'scale' | 'toChart'>) {
  const cues = useEditor((s) => s.doc?.cues);
  return (
    <g>
      {cues?.map((c) => {
        const y = scale.y(c.time);
        return (
          <g
            key={c.id}
            className="cursor-ns-resize"
            onPointerDown={(e) =>
              drag(e, toChart, (_, py) =>
                applyEdit({ op: 'cue', cue: c.id, time: Math.max(0, scale.time(py)) }, 'cue'),
              )
            }
          >
            <title>{c.name}: drag to another time</title>
            <path
              d={`M${scale.left} ${y}H${scale.right}`}
              stroke="transparent"
              strokeWidth={9}
              data-testid={`cue-line-${c.name}`}
            />
            <path
              d={`M${scale.left} ${y}H${scale.right}`}
              className="stroke-ochre"
              strokeDasharray="2 3"
            />
            <text x={scale.left + 4} y={y - 3} className="halo fill-ochre text-[11px]">
              {c.name}
            </text>
          </g>
        );
      })}
    </g>
  );
}
