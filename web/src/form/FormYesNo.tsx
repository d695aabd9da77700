import { useController, type FieldValues, type Path } from 'react-hook-form';
import { Choice } from '../ui/Choice.tsx';
import { problemAt } from './resolver.ts';
import type { BodyForm } from './useBodyForm.ts';

interface FormYesNoProps<T extends FieldValues> {
  form: BodyForm<T>;
  name: Path<T>;
  label: string;
  yes?: string;
  no?: string;
}

/** Yes or no, of a form; nothing is chosen beforehand. */
export function FormYesNo<T extends FieldValues>({ form, name, label, yes = 'Yes', no = 'No' }: FormYesNoProps<T>) {
  const { field } = useController({ control: form.control, name });
  const problem = problemAt(form.formState.errors, name);
  const said = field.value as boolean | null | undefined;
  return (
    <div>
      <Choice
        label={label}
        value={said === true ? 'yes' : said === false ? 'no' : null}
        options={[
          { value: 'yes', label: yes },
          { value: 'no', label: no },
        ]}
        onChoose={(value) => field.onChange(value === 'yes')}
      />
      {problem && (
        <p role="alert" className="pt-1 font-semibold text-halt">
          Expected yes or no.
        </p>
      )}
    </div>
  );
}
