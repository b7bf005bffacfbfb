import { useId, useRef, useState, type ReactNode } from 'react';
import { endGesture, problemText } from '../state/editor';
import type { Problem } from '../core/core';
import { shown, withUnits } from './arithmetic';
import { MIXED } from './Choice';

interface Props {
  label: string;
  /** Null while it is not known yet: the field waits. */
  value: number | null;
  unit?: string;
  decimals?: number;
  step?: number;
  /** What other units mean here, such as "%" of a length. */
  units?: Record<string, (value: number) => number>;
  /** Reads what is typed in a way of its own: the value, or why it is none. */
  read?: (text: string) => number | string;
  /** Sets the value; problems are shown under the field and the old value stays. */
  onChange: (value: number, whole: boolean) => Problem[] | void;
  disabled?: boolean;
  /** Those that are chosen differ: no number is shown, and steps go to each of them from its own. */
  mixed?: boolean;
  onStep?: (by: number) => void;
  children?: ReactNode;
}

/**
 * A number with its label: type (also arithmetic and units), step with the arrow keys, Shift for
 * ten, or drag on the label.
 */
export function NumberField(props: Props) {
  const { label, unit = '', decimals = 1, step = 1, units = {}, onChange } = props;
  const disabled = props.disabled || props.value === null;
  const value = props.value ?? 0;
  const now = props.value === null || props.mixed ? '' : shown(value, decimals);
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const [error, setError] = useState('');
  const alt = useRef(false);

  /** Goes by so much from a value, or each of those that differ from its own. */
  const walk = (from: number, by: number) => {
    if (props.mixed && props.onStep) props.onStep(by);
    else put(Number((from + by).toFixed(6)));
  };

  const put = (next: number) => {
    const problem = onChange(next, alt.current)?.[0];
    setError(problem ? problemText(problem) : '');
    return !problem;
  };

  const commit = () => {
    if (text === null) return;
    const next = (props.read ?? ((t) => withUnits(t, unit, units)))(text);
    // What is refused goes back to what stands; why is told under the field.
    if (typeof next === 'string') setError(next);
    else if (text.trim() === now) setError('');
    else put(next);
    setText(null);
    endGesture();
  };

  const scrub = (e: React.PointerEvent<HTMLLabelElement>) => {
    if (disabled || e.button !== 0) return;
    const from = e.clientX;
    const begin = value;
    let gone = 0;
    const target = e.currentTarget;
    target.setPointerCapture(e.pointerId);
    const move = (m: PointerEvent) => {
      alt.current = m.altKey;
      const by = Math.round(m.clientX - from) * step * (m.shiftKey ? 10 : 1);
      if (props.mixed && by !== gone) walk(begin, by - gone);
      else if (!props.mixed && by !== 0) put(begin + by);
      gone = by;
    };
    const up = () => {
      target.removeEventListener('pointermove', move);
      alt.current = false;
      endGesture();
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', up, { once: true });
    target.addEventListener('pointercancel', up, { once: true });
  };

  const keys = (e: React.KeyboardEvent) => {
    alt.current = e.altKey;
    if (e.key === 'Enter') commit();
    else if (e.key === 'Escape') {
      setText(null);
      setError('');
    } else if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
      e.preventDefault();
      const by = step * (e.shiftKey ? 10 : 1) * (e.key === 'ArrowUp' ? 1 : -1);
      setText(null);
      walk(value, by);
    }
  };

  return (
    <div className="mb-1.5">
      <div className="flex items-center gap-2">
        <label
          htmlFor={id}
          className="w-23 shrink-0 cursor-ew-resize touch-none text-soft select-none"
          onPointerDown={scrub}
          title="Drag to change"
        >
          {label}
        </label>
        <div className="relative min-w-0 flex-1">
          <input
            id={id}
            className={`field pr-8 ${error ? 'border-vermilion' : ''}`}
            value={text ?? now}
            placeholder={props.mixed ? MIXED : undefined}
            disabled={disabled}
            inputMode="decimal"
            aria-invalid={error !== ''}
            onChange={(e) => setText(e.target.value)}
            onFocus={(e) => e.target.select()}
            onBlur={commit}
            onKeyDown={keys}
          />
          <span className="pointer-events-none absolute inset-y-0 right-2 flex items-center text-soft">
            {unit}
          </span>
        </div>
        {props.children}
      </div>
      {error && (
        <p role="alert" className="mt-1 ml-25 text-[12px] leading-snug text-vermilion">
          {error}
        </p>
      )}
    </div>
  );
}
