import type { ReactNode } from 'react';
import { useController, type FieldValues, type Path } from 'react-hook-form';
import { Choice } from '../ui/Choice.tsx';
import { problemAt } from './resolver.ts';
import type { BodyForm } from './useBodyForm.ts';

interface FormChoiceProps<T extends FieldValues, V extends string> {
  form: BodyForm<T>;
  name: Path<T>;
  label: string;
  options: readonly { value: V; label: ReactNode; disabled?: boolean }[];
  columns?: string;
  /** What is expected, said where nothing was chosen. */
  expected?: string;
}

/** One of several, of a form. */
export function FormChoice<T extends FieldValues, V extends string>({
  form,
  name,
  expected,
  ...rest
}: FormChoiceProps<T, V>) {
  const { field } = useController({ control: form.control, name });
  const problem = problemAt(form.formState.errors, name);
  return (
    <div>
      <Choice<V> {...rest} value={(field.value ?? null) as V | null} onChoose={field.onChange} />
      {problem && (
        <p role="alert" className="pt-1 font-semibold text-halt">
          {expected ? `Expected ${expected}.` : problem}
        </p>
      )}
    </div>
  );
}
