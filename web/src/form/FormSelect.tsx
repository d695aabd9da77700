import { useController, type FieldValues, type Path } from 'react-hook-form';
import { SelectField } from '../ui/SelectField.tsx';
import { problemAt } from './resolver.ts';
import type { BodyForm } from './useBodyForm.ts';

interface FormSelectProps<T extends FieldValues> {
  form: BodyForm<T>;
  name: Path<T>;
  label: string;
  options: readonly string[];
}

/** One of many names, of a form. */
export function FormSelect<T extends FieldValues>({ form, name, ...rest }: FormSelectProps<T>) {
  const { field } = useController({ control: form.control, name });
  return (
    <SelectField
      {...rest}
      value={field.value as string | undefined}
      onPick={field.onChange}
      onBlur={field.onBlur}
      error={problemAt(form.formState.errors, name)}
    />
  );
}
