import { Check } from 'lucide-react';
import type { ReactNode } from 'react';

interface ChoiceProps<T extends string> {
  label: string;
  value: T | null;
  options: readonly { value: T; label: ReactNode; disabled?: boolean }[];
  onChoose: (value: T) => void;
  columns?: string;
}

/** One of several, each a control of its own size for a glove. */
export function Choice<T extends string>({ label, value, options, onChoose, columns = 'grid-cols-2' }: ChoiceProps<T>) {
  return (
    <fieldset className="min-w-0">
      <legend className="pb-1 text-quiet">{label}</legend>
      <div className={`grid gap-3 ${columns}`}>
        {options.map((option) => (
          <button
            key={option.value}
            type="button"
            className="btn"
            aria-pressed={value === option.value}
            disabled={option.disabled}
            onClick={() => onChoose(option.value)}
          >
            {value === option.value && <Check size={20} aria-hidden className="shrink-0" />}
            {option.label}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
