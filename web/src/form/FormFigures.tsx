import { InputError, ownUnit, readQuantity, roundTo, type Dimension } from '@iron-cradle/core';
import { useState } from 'react';
import { useController, type FieldValues, type Path } from 'react-hook-form';
import { TextField } from '../ui/TextField.tsx';
import { problemAt } from './resolver.ts';
import type { BodyForm } from './useBodyForm.ts';

interface FormFiguresProps<T extends FieldValues> {
  form: BodyForm<T>;
  name: Path<T>;
  label: string;
  dimension: Dimension;
  unit: string;
  /** Said where one of them can't be read. */
  expected: string;
}

/** Several quantities with commas or blanks between them; what was typed stays as typed. */
export function FormFigures<T extends FieldValues>({
  form,
  name,
  dimension,
  unit,
  expected,
  ...rest
}: FormFiguresProps<T>) {
  const {
    field: { value, onChange },
  } = useController({ control: form.control, name });
  const [text, setText] = useState(() => ((value ?? []) as number[]).join(', '));
  const one = (part: string): number => {
    try {
      return roundTo(ownUnit(readQuantity(part, { dimension, unit }).typ, dimension, unit), 0.1);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return Number.NaN;
    }
  };
  const problem = problemAt(form.formState.errors, name);
  return (
    <TextField
      {...rest}
      value={text}
      error={problem && `Expected ${expected}.`}
      onChange={(event) => {
        setText(event.target.value);
        onChange(event.target.value.split(/[,;]+/).flatMap((part) => (part.trim() === '' ? [] : [one(part)])));
      }}
    />
  );
}
