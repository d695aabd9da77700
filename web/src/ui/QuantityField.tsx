import {
  canBeMeant,
  InputError,
  readQuantity,
  units,
  writeQuantity,
  type Dimension,
  type Estimate,
} from '@iron-cradle/core';
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
  /** What is wrong with the figure itself, once it was handed in. */
  error?: string | undefined;
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
  error,
}: QuantityFieldProps) {
  const id = useId();
  const [text, setText] = useState(initial);
  const [pad, setPad] = useState(false);
  /** What can hardly be meant counts only once its person said that it is. */
  const [meant, setMeant] = useState<string | null>(null);
  const read = (next: string): { value: Estimate | null; problem: string | null } => {
    if (next.trim() === '') return { value: null, problem: null };
    try {
      return { value: readQuantity(next, { dimension, unit, field: label }), problem: null };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return { value: null, problem: `Expected ${error.expected}.` };
    }
  };
  const change = (next: string, sure = meant) => {
    setText(next);
    if (next.trim() === '') onEmpty?.();
    const now = read(next);
    const counts = now.value !== null && (next === sure || canBeMeant(now.value, dimension));
    onUnreadable?.(now.problem !== null || (now.value !== null && !counts));
    onRead(counts ? now.value : null);
  };
  const { value, problem } = read(text);
  const doubted = value !== null && text !== meant && !canBeMeant(value, dimension);
  const wrong = problem ?? (doubted ? null : (error ?? null));
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
          aria-invalid={wrong !== null}
          aria-describedby={`${id}-said`}
          onChange={(event) => change(event.target.value)}
        />
        <button type="button" className="btn min-h-14 shrink-0" aria-pressed={pad} onClick={() => setPad(!pad)}>
          Keys
        </button>
      </div>
      <p
        id={`${id}-said`}
        className={`min-h-6 ${wrong || doubted ? 'font-semibold text-halt' : 'text-quiet'}`}
        aria-live="polite"
      >
        {wrong ??
          (value
            ? value.lo === value.hi
              ? `${doubted ? 'really' : 'understood:'} ${show(value.typ)}${doubted ? '?' : ''}`
              : `${doubted ? 'really' : 'understood:'} ${show(value.lo)} to ${show(value.hi)}${doubted ? '?' : ''}`
            : (hint ?? ''))}
      </p>
      {doubted && (
        <button
          type="button"
          className="btn mb-2 w-full"
          data-action="meant"
          onClick={() => {
            setMeant(text);
            change(text, text);
          }}
        >
          Yes, it is {value.lo === value.hi ? show(value.typ) : `${show(value.lo)} to ${show(value.hi)}`}
        </button>
      )}
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
