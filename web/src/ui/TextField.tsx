import { useId, type InputHTMLAttributes, type Ref } from 'react';

interface TextFieldProps extends InputHTMLAttributes<HTMLInputElement> {
  label: string;
  error?: string | undefined;
  hint?: string;
  ref?: Ref<HTMLInputElement>;
}

/** One line of text with its label; an error says what was expected and keeps what was typed. */
export function TextField({ label, error, hint, ref, ...rest }: TextFieldProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-quiet">
        {label}
      </label>
      <input
        id={id}
        ref={ref}
        className="field"
        aria-invalid={error !== undefined}
        aria-describedby={`${id}-said`}
        {...rest}
      />
      <p
        id={`${id}-said`}
        className={`${error ? 'font-semibold text-halt' : 'text-quiet'} ${error || hint ? 'min-h-6' : ''}`}
      >
        {error ?? hint ?? ''}
      </p>
    </div>
  );
}
