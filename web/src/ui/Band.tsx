import type { Outcome } from '@iron-cradle/core';
import { useLayoutEffect, type ReactNode } from 'react';
import { screenChanged } from '../app/wetGlass.ts';

/** A notice across the screen: ink with ground-coloured text and its shape, never yellow. */
export function Band({
  children,
  outcome = 'doubtful',
  role = 'status',
}: {
  children: ReactNode;
  outcome?: Outcome;
  role?: 'status' | 'alert';
}) {
  // It comes and goes by itself and moves all that stands under it, also what a finger is on its way to.
  useLayoutEffect(() => (screenChanged(), screenChanged), []);
  return (
    <div
      role={role}
      className="flex min-h-10 items-center gap-3 bg-ink px-4 py-1.5 font-semibold text-ground [font-stretch:88%]"
    >
      <svg width="18" height="18" viewBox="0 0 24 24" aria-hidden className="shrink-0">
        {outcome === 'bad' ? (
          <path d="M8 1h8l7 7v8l-7 7H8l-7-7V8Z" fill="var(--ground)" />
        ) : outcome === 'good' ? (
          <circle cx="12" cy="12" r="10" fill="var(--ground)" />
        ) : (
          <path d="M12 2 23 22H1Z" fill="var(--ground)" />
        )}
      </svg>
      <div className="min-w-0 flex-1">{children}</div>
    </div>
  );
}
