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
  const length = typeof rest.value === 'string' ? rest.value.length : 0;
  // The end is said before it is reached, so that nothing is swallowed unseen.
  const near = rest.maxLength !== undefined && length > rest.maxLength * 0.8;
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
      {near && (
        <p className="float-right pl-3 text-16 text-quiet" role="status">
          {length} of {rest.maxLength}
        </p>
      )}
      <p
        id={`${id}-said`}
        className={`${error ? 'font-semibold text-halt' : 'text-quiet'} ${error || hint ? 'min-h-6' : ''}`}
      >
        {error ?? hint ?? ''}
      </p>
    </div>
  );
}
