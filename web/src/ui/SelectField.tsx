import { useId } from 'react';

interface SelectFieldProps<T extends string> {
  label: string;
  options: readonly T[];
  /** How an option is written; left out: as it is. */
  say?: (option: T) => string;
  /** The line that chooses nothing; null where something always is. */
  none?: string | null;
  /** What is chosen; nothing yet: left out. */
  value: T | undefined;
  /** Nothing again where the first line is chosen once more. */
  onPick: (value: T | undefined) => void;
  onBlur?: () => void;
  /** What is wrong with it. */
  error?: string | null | undefined;
}

/** One of many names: more than buttons could carry. */
export function SelectField<T extends string>({
  label,
  options,
  say = (option) => option,
  none = 'which?',
  value,
  onPick,
  onBlur,
  error,
}: SelectFieldProps<T>) {
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
        {none !== null && <option value="">{none}</option>}
        {options.map((option) => (
          <option key={option} value={option}>
            {say(option)}
          </option>
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
