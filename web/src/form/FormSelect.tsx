import { useId } from 'react';
import { useController, type FieldValues, type Path } from 'react-hook-form';
import { problemAt } from './resolver.ts';
import type { BodyForm } from './useBodyForm.ts';

interface FormSelectProps<T extends FieldValues> {
  form: BodyForm<T>;
  name: Path<T>;
  label: string;
  options: readonly string[];
}

/** One of many names, of a form: more than buttons could carry. */
export function FormSelect<T extends FieldValues>({ form, name, label, options }: FormSelectProps<T>) {
  const { field } = useController({ control: form.control, name });
  const id = useId();
  const problem = problemAt(form.formState.errors, name);
  return (
    <div>
      <label htmlFor={id} className="block pb-1 text-quiet">
        {label}
      </label>
      <select
        id={id}
        className="field"
        value={(field.value ?? '') as string}
        onBlur={field.onBlur}
        onChange={(event) => field.onChange(event.target.value === '' ? undefined : event.target.value)}
      >
        <option value="">which?</option>
        {options.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
      {problem && (
        <p role="alert" className="pt-1 font-semibold text-halt">
          {problem}
        </p>
      )}
    </div>
  );
}
