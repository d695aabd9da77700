import type { ReactNode } from 'react';

interface EntryFormProps {
  /** Enters what was typed. */
  say: () => unknown;
  /** As it is called where no heading does. */
  label?: string;
  className?: string;
  children: ReactNode;
}

/** A form over one entry: it is entered by its key or by Enter, checked by the kind’s own class. */
export const EntryForm = ({ say, label, className = 'grid gap-3', children }: EntryFormProps) => (
  <form
    noValidate
    aria-label={label}
    className={className}
    onSubmit={(event) => {
      event.preventDefault();
      say();
    }}
  >
    {children}
  </form>
);
