import { InputError, readQuantity, units, writeQuantity, type Dimension, type Estimate } from '@iron-cradle/core';
import { useId, useState } from 'react';

interface QuantityFieldProps {
  label: string;
  dimension: Dimension;
  /** Unit a bare number takes, and in which the reading is shown back. */
  unit: string;
  onRead: (value: Estimate | null) => void;
  /** It was emptied; what cannot be read is not empty. */
  onEmpty?: () => void;
  /** What stands in it can't be read, or can again. */
  onUnreadable?: (unreadable: boolean) => void;
  decimals?: number;
  hint?: string;
  /** What stands in it at first. */
  initial?: string;
}

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', '⌫'];
const FRACTIONS = ['1/2', '1/4', '1/8', '1/16'];

/** A quantity as people write it, with an own keypad for gloves; says at once what it understood. */
export function QuantityField({
  label,
  dimension,
  unit,
  onRead,
  onEmpty,
  onUnreadable,
  decimals = 1,
  hint,
  initial = '',
}: QuantityFieldProps) {
  const id = useId();
  const [text, setText] = useState(initial);
  const [pad, setPad] = useState(false);
  const read = (next: string): { value: Estimate | null; problem: string | null } => {
    if (next.trim() === '') return { value: null, problem: null };
    try {
      return { value: readQuantity(next, { dimension, unit, field: label }), problem: null };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return { value: null, problem: `Expected ${error.expected}.` };
    }
  };
  const change = (next: string) => {
    setText(next);
    if (next.trim() === '') onEmpty?.();
    const now = read(next);
    onUnreadable?.(now.problem !== null);
    onRead(now.value);
  };
  const { value, problem } = read(text);
  const show = (si: number) => writeQuantity(si, { dimension, unit, decimals });
  const press = (key: string) =>
    change(
      key === '⌫' ? text.slice(0, -1) : FRACTIONS.includes(key) ? `${text.trim()}${text ? ' ' : ''}${key}` : text + key,
    );
  return (
    <div>
      <label htmlFor={id} className="block text-quiet">
        {label}
      </label>
      <div className="flex gap-3">
        <input
          id={id}
          className="field reading text-24"
          value={text}
          placeholder={units[dimension][unit]?.symbol ?? unit}
          inputMode="text"
          autoComplete="off"
          aria-invalid={problem !== null}
          aria-describedby={`${id}-said`}
          onChange={(event) => change(event.target.value)}
        />
        <button type="button" className="btn min-h-14 shrink-0" aria-pressed={pad} onClick={() => setPad(!pad)}>
          Keys
        </button>
      </div>
      <p
        id={`${id}-said`}
        className={`min-h-6 ${problem ? 'font-semibold text-halt' : 'text-quiet'}`}
        aria-live="polite"
      >
        {problem ??
          (value
            ? value.lo === value.hi
              ? `understood: ${show(value.typ)}`
              : `understood: ${show(value.lo)} to ${show(value.hi)}`
            : (hint ?? ''))}
      </p>
      {pad && (
        <div className="grid grid-cols-4 gap-3 pb-2">
          <div className="col-span-3 grid grid-cols-3 gap-3">
            {KEYS.map((key) => (
              <button
                key={key}
                type="button"
                className="btn reading text-24"
                onClick={() => press(key)}
                aria-label={key === '⌫' ? 'delete' : key}
              >
                {key === '⌫' ? 'del' : key}
              </button>
            ))}
          </div>
          <div className="grid gap-3">
            {FRACTIONS.map((key) => (
              <button key={key} type="button" className="btn reading" onClick={() => press(key)}>
                {key}
              </button>
            ))}
          </div>
        </div>
      )}
    </div>
  );
}
