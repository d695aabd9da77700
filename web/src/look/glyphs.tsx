import type { Fitting } from '@iron-cradle/core';
import type { ReactNode } from 'react';

/** Own glyphs of the trade on a 24 grid, 2 px, square ends. */
const paths: Record<string, ReactNode> = {
  'push-tab': <path d="M2 9h7v6H2M22 8h-9v8h9M13 5v3M13 16v3M9 12h4" />,
  'slide-collar': <path d="M2 9h6v6H2M22 8h-8v8h8M10 6v12M8 12h2" />,
  hairpin: <path d="M2 9h8v6H2M22 8h-9v8h9M8 4v16M8 20h4" />,
  twist: <path d="M2 9h8v6H2M22 8h-9v8h9M7 20a6 6 0 0 0 10 0M17 20v-3M17 20h-3" />,
  'spring-clamp': <path d="M4 12a8 8 0 1 1 13 6M4 12a8 8 0 0 0 5 7M15 18l5 3M10 19l-1 4" />,
  'worm-clamp': <path d="M19 9a8 8 0 1 0-4 11M15 20h7v-7h-7ZM17 13v7M19 13v7" />,
  'ear-clamp': <path d="M9 6a8 8 0 1 0 6 0M9 6l1-4h4l1 4" />,
  'lock-plug': <path d="M2 12h5M7 6h8v12H7ZM15 9h5M15 15h5M9 6V3h4v3" />,
  bolt: <path d="M6 3h12v6H6ZM10 9v12h4V9M10 13h4M10 17h4" />,
  flare: <path d="M2 12h7M9 7l5-2v14l-5-2ZM14 8h8v8h-8" />,
  other: <path d="M2 12h8M14 12h8M10 8v8M14 8v8" />,
  cap: <path d="M2 12h9M11 6h7a4 4 0 0 1 4 6 4 4 0 0 1-4 6h-7ZM14 6v12" />,
  strap: <path d="M2 6h20v5H2ZM5 8.5h.5M18.5 8.5h.5M6 11v8M18 11v8" />,
  jack: <path d="M5 4h14v4H5ZM10 8v9h4V8M6 21h12v-4H6Z" />,
  clip: <path d="M2 18h20M8 18V9a4 4 0 0 1 8 0v9" />,
  obstruction: <path d="M4 4h16v16H4ZM4 4l16 16M20 4 4 20" />,
  ring: <path d="M12 3a9 9 0 1 0 .1 0M12 8a4 4 0 1 0 .1 0M12 3v5M4 16l4-2M20 16l-4-2" />,
};

/** What there is a sign for. */
export type GlyphName = Fitting | 'cap' | 'strap' | 'jack' | 'clip' | 'obstruction' | 'ring';

/** A small sign, drawn in the colour of the text. */
export function Glyph({ name, size = 24 }: { name: GlyphName; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      strokeLinecap="square"
      aria-hidden
      className="shrink-0"
    >
      {paths[name] ?? paths.other}
    </svg>
  );
}
