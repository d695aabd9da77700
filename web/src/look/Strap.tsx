import type { ButtonHTMLAttributes, ReactNode } from 'react';

interface StrapProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  children: ReactNode;
  /** Why it waits: shown on the strap instead of a faded button nobody understands. */
  waitsFor?: string | undefined;
  /** Share done, 0 to 1, drawn as a line along the strap's foot. */
  progress?: number;
}

/** The main action: a strap with a bolt hole at each end. */
export function Strap({ children, waitsFor, progress, className = '', ...rest }: StrapProps) {
  const waits = waitsFor !== undefined;
  return (
    <button
      type="button"
      {...rest}
      aria-disabled={waits || rest.disabled || undefined}
      // Also where it is the one that submits a form.
      onClick={waits ? (event) => event.preventDefault() : rest.onClick}
      className={`relative flex min-h-[72px] w-full items-center justify-center gap-3 px-10 py-2 text-center text-24 font-bold leading-tight [font-stretch:75%] ${
        waits ? 'border-2 border-dashed border-edge bg-sheet text-quiet' : 'bg-work text-on-work active:brightness-110'
      } ${className}`}
    >
      <Hole side="left-4" hollow={waits} />
      <span className="flex flex-wrap items-center justify-center gap-x-3">
        {children}
        {waits && <span className="w-full text-16 font-medium [font-stretch:100%]">{waitsFor}</span>}
      </span>
      <Hole side="right-4" hollow={waits} />
      {progress !== undefined && (
        <span className="absolute bottom-0 left-0 h-1.5 bg-paint" style={{ width: `${Math.round(progress * 100)}%` }} />
      )}
    </button>
  );
}

const Hole = ({ side, hollow }: { side: string; hollow: boolean }) => (
  <span
    aria-hidden
    className={`absolute top-1/2 size-4 -translate-y-1/2 rounded-full ${side} ${hollow ? 'border-2 border-edge' : 'bg-sheet'}`}
  />
);
