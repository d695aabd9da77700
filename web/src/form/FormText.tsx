import type { InputHTMLAttributes } from 'react';
import { useController, type FieldValues, type Path } from 'react-hook-form';
import { TextField } from '../ui/TextField.tsx';
import { problemAt } from './resolver.ts';
import type { BodyForm } from './useBodyForm.ts';

interface FormTextProps<T extends FieldValues> extends Omit<InputHTMLAttributes<HTMLInputElement>, 'form' | 'name'> {
  form: BodyForm<T>;
  name: Path<T>;
  label: string;
  hint?: string;
  /** What is expected, said where nothing was written. */
  expected?: string;
}

/** One line of text of a form. */
export function FormText<T extends FieldValues>({ form, name, expected, ...rest }: FormTextProps<T>) {
  const { field } = useController({ control: form.control, name });
  const problem = problemAt(form.formState.errors, name);
  const value = (field.value ?? '') as string;
  const error = problem && expected && value.trim() === '' ? `Expected ${expected}.` : problem;
  return <TextField autoComplete="off" {...rest} {...field} value={value} error={error} />;
}
