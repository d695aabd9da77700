import { ownUnit, roundTo, siUnit, units, type Dimension } from '@iron-cradle/core';
import { useRef } from 'react';
import { useController, type FieldValues, type Path, type PathValue } from 'react-hook-form';
import { QuantityField } from '../ui/QuantityField.tsx';
import { problemAt } from './resolver.ts';
import type { BodyForm } from './useBodyForm.ts';

interface FormQuantityProps<T extends FieldValues> {
  form: BodyForm<T>;
  name: Path<T>;
  label: string;
  dimension: Dimension;
  /** Unit the body keeps it in. */
  unit: string;
  /** Unit a bare number takes, where that is another. */
  shown?: string;
  /** Which end of a range counts. */
  take?: 'lo' | 'typ' | 'hi';
  /** Finest step that is kept. */
  step?: number;
  decimals?: number;
  hint?: string;
}

/** A quantity of a form, as people write it; kept as a figure in the unit of the body. */
export function FormQuantity<T extends FieldValues>({
  form,
  name,
  dimension,
  unit,
  shown = unit,
  take = 'typ',
  step = 0.001,
  ...rest
}: FormQuantityProps<T>) {
  const symbol = units[dimension][unit]?.symbol ?? unit;
  const { field } = useController({ control: form.control, name });
  const unreadable = useRef(false);
  const put = (value: number | null) => field.onChange(value as PathValue<T, Path<T>>);
  const initial = (field.value ?? null) as number | null;
  return (
    <QuantityField
      key={form.turn}
      {...rest}
      dimension={dimension}
      unit={shown}
      error={problemAt(form.formState.errors, name)?.replace(
        /(at (?:least|most) [\d.]+)\.$/,
        `$1 ${symbol}.`.replace(' .', '.'),
      )}
      initial={
        initial === null || !Number.isFinite(initial)
          ? ''
          : String(roundTo(ownUnit(siUnit(initial, dimension, unit), dimension, shown), step))
      }
      onUnreadable={(is) => (unreadable.current = is)}
      // What can't be read is no empty field: it is refused, not left out.
      onRead={(value) =>
        put(value ? roundTo(ownUnit(value[take], dimension, unit), step) : unreadable.current ? Number.NaN : null)
      }
    />
  );
}
