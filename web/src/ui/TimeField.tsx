import type { ReactNode } from 'react';
import type { Problem } from '../core/core';
import { readTime } from '../stage/time';
import { useFps, useTimeUnit } from '../state/timeUnit';
import { NumberField } from './NumberField';

interface Props {
  label: string;
  /** s */
  value: number;
  /** Of seconds; frames are stepped one by one. */
  decimals?: number;
  step?: number;
  onChange: (value: number) => Problem[] | void;
  disabled?: boolean;
  children?: ReactNode;
}

/** A time or a length of time, in seconds or in frames; either is understood, and 00:01.05. */
export function TimeField({ value, decimals = 2, step = 0.1, onChange, ...rest }: Props) {
  const fps = useFps();
  const frames = useTimeUnit((s) => s.frames);
  const factor = frames ? fps : 1;
  return (
    <NumberField
      {...rest}
      unit={frames ? 'f' : 's'}
      decimals={frames ? 2 : decimals}
      step={frames ? 1 : step}
      value={value * factor}
      read={(text) => {
        const time = readTime(text, fps, frames);
        return typeof time === 'string' ? time : time * factor;
      }}
      onChange={(v) => onChange(v / factor)}
    />
  );
}
