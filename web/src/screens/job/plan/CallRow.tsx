import { useState, type ReactNode } from 'react';

/** A line of the call, with its why a tap away. */
export function CallRow({
  name,
  text,
  why,
  children,
}: {
  name: string;
  text: string;
  why: ReactNode;
  children?: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <div className="py-1">
      <div className="flex items-center gap-3">
        <div className="min-w-0 flex-1 gap-6 mid:flex mid:items-baseline">
          <p className="narrow text-20 mid:w-60 mid:shrink-0">{name}</p>
          <p className="text-quiet">{text}</p>
        </div>
        {children}
        <button
          type="button"
          className="btn w-16 shrink-0"
          aria-expanded={open}
          aria-label={`why: ${name}`}
          onClick={() => setOpen(!open)}
        >
          why
        </button>
      </div>
      {open && <div className="max-w-prose py-2 mid:pl-66">{why}</div>}
    </div>
  );
}
