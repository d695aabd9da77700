import type { ReactNode } from 'react';

interface LineKeyProps {
  color: string;
  width: number;
  dashed?: boolean;
  children: ReactNode;
}

/** What a line of a chart is: a stretch of it, and its name. */
export const LineKey = ({ color, width, dashed = false, children }: LineKeyProps) => (
  <span className="flex items-center gap-2">
    <svg width="34" height="10" aria-hidden>
      <path d="M0 5H34" stroke={color} strokeWidth={width} {...(dashed ? { strokeDasharray: '9 6' } : {})} />
    </svg>
    {children}
  </span>
);
