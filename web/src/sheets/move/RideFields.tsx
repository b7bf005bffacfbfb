import { useState } from 'react';
import type { Ride } from '../../core/document';
import { applyEdit, useEditor } from '../../state/editor';
import { isLocked, itemOf } from '../../state/items';
import { chosenWith } from '../../state/values';
import { Check } from '../../ui/Check';
import { Choice } from '../../ui/Choice';
import { MovableField } from '../../ui/MovableField';
import { NumberField } from '../../ui/NumberField';

const NONE = '';
const BY_PATH = 'by-path';

/** The path that carries an item, and how far along it is. */
export function RideFields({ id }: { id: string }) {
  const doc = useEditor((s) => s.doc);
  const item = itemOf(doc, id);
  const [wrong, setWrong] = useState('');
  if (!doc || !item) return null;
  const { ride } = item;
  const put = (parts: { path?: string | null } & Partial<Omit<Ride, 'path' | 'ends'>> & Ends) => {
    const items = chosenWith(id).filter((i) => !isLocked(useEditor.getState().doc, i));
    const time = useEditor.getState().time;
    const problems = applyEdit({ op: 'ride', items, time, ...parts }, Object.keys(parts).join());
    setWrong(problems[0]?.reason ?? '');
    return problems;
  };
  return (
    <>
      <Choice
        label="Along the path"
        value={ride?.path ?? NONE}
        options={[
          { value: NONE, label: 'None: it stays in place' },
          ...doc.paths.map((p) => ({ value: p.id, label: p.name })),
        ]}
        onChange={(path) => {
          put({ path: path || null });
          if (!ride && path)
            useEditor.setState({ charted: 'rideOffset', keyframe: null, keys: [] });
        }}
      />
      {wrong && <p className="my-1 text-[12px] text-alarm">{wrong}</p>}
      {ride && (
        <>
          <MovableField item={id} channel="rideOffset" label="Path offset" />
          <MovableField item={id} channel="rideShift" label="Off the path" />
          <Check
            label="Turn with the path"
            value={ride.turns !== false}
            onChange={(turns) => put({ turns })}
          />
          <Choice
            label="Past the ends"
            value={ride.ends ?? BY_PATH}
            options={[
              {
                value: BY_PATH,
                label: 'As the path is',
                detail: 'Round if closed, else straight on',
              },
              { value: 'continue', label: 'Straight on' },
              { value: 'cut', label: 'Not seen' },
              { value: 'wrap', label: 'Come round' },
            ]}
            onChange={(ends) => put({ ends: ends === BY_PATH ? null : ends })}
          />
          <NumberField
            label="Copies"
            decimals={0}
            value={ride.copies ?? 1}
            onChange={(n) => put({ copies: Math.min(Math.max(Math.round(n), 1), 100) })}
          />
          {(ride.copies ?? 1) > 1 && (
            <Choice
              label="Copies are"
              value={ride.spacing ?? 'even'}
              options={[
                { value: 'even', label: 'Spread evenly', detail: 'In equal shares of the path' },
                { value: 'distance', label: 'At a distance' },
              ]}
              onChange={(spacing) => put({ spacing })}
            />
          )}
          {(ride.copies ?? 1) > 1 && ride.spacing === 'distance' && (
            <MovableField item={id} channel="rideGap" label="Distance" />
          )}
        </>
      )}
    </>
  );
}

interface Ends {
  ends?: Ride['ends'] | null;
}
