import { Check } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
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
      <ToggleGroup.Root
        type="single"
        aria-label={label}
        className={`grid gap-3 ${columns}`}
        value={value ?? ''}
        // The one that is down stays down: a choice is changed, not emptied.
        onValueChange={(chosen) => chosen !== '' && onChoose(chosen as T)}
      >
        {options.map((option) => (
          <ToggleGroup.Item key={option.value} value={option.value} className="btn" disabled={option.disabled ?? false}>
            {value === option.value && <Check size={20} aria-hidden className="shrink-0" />}
            {option.label}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </fieldset>
  );
}
