import { useId } from 'react';

interface SelectFieldProps<T extends string> {
  label: string;
  options: readonly T[];
  /** What is chosen; nothing yet: left out. */
  value: T | undefined;
  /** Nothing again where the first line is chosen once more. */
  onPick: (value: T | undefined) => void;
  onBlur?: () => void;
  /** What is wrong with it. */
  error?: string | null | undefined;
}

/** One of many names: more than buttons could carry. */
export function SelectField<T extends string>({ label, options, value, onPick, onBlur, error }: SelectFieldProps<T>) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block pb-1 text-quiet">
        {label}
      </label>
      <select
        id={id}
        className="field"
        value={value ?? ''}
        onBlur={onBlur}
        onChange={(event) => onPick(event.target.value === '' ? undefined : (event.target.value as T))}
      >
        <option value="">which?</option>
        {options.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
      {error && (
        <p role="alert" className="pt-1 font-semibold text-halt">
          {error}
        </p>
      )}
    </div>
  );
}
