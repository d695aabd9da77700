import { useId } from 'react';

interface SelectProps<T extends string> {
  label: string;
  value: T;
  options: readonly T[];
  onChoose: (value: T) => void;
}

/** One word out of a list too long for buttons. */
export function Select<T extends string>({ label, value, options, onChoose }: SelectProps<T>) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-quiet">
        {label}
      </label>
      <select id={id} className="field" value={value} onChange={(event) => onChoose(event.target.value as T)}>
        {options.map((option) => (
          <option key={option} value={option}>
            {option.replaceAll('-', ' ')}
          </option>
        ))}
      </select>
    </div>
  );
}
