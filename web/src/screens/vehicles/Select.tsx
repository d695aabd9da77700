import { SelectField } from '../../ui/SelectField.tsx';

interface SelectProps<T extends string> {
  label: string;
  value: T;
  options: readonly T[];
  onChoose: (value: T) => void;
}

/** One word out of a list too long for buttons; one is always chosen. */
export function Select<T extends string>({ onChoose, ...rest }: SelectProps<T>) {
  return (
    <SelectField
      {...rest}
      none={null}
      say={(option) => option.replaceAll('-', ' ')}
      onPick={(option) => option !== undefined && onChoose(option)}
    />
  );
}
