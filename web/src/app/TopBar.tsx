import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Moon, Sun } from 'lucide-react';
import { chooseTheme, useTheme } from '../look/theme.ts';
import { LineBands } from './LineBands.tsx';

interface TopBarProps {
  title: string;
  hint?: ReactNode;
  /** Where the title leads; left out where there is nowhere to go. */
  to?: string;
  children?: ReactNode;
}

/** The bar over every screen: what this is, what is going on, day or night. */
export function TopBar({ title, hint, to, children }: TopBarProps) {
  const theme = useTheme();
  const name = <span className="narrow h-11 truncate text-20 leading-11 mid:text-24">{title}</span>;
  return (
    <>
      <header className="no-print flex h-13 items-center gap-3 border-b border-rule px-4 mid:px-5">
        {/* Where there is too little room for both, what it adds goes to a second row, which nobody sees; what has the focus is still outlined. */}
        <span className="flex h-11 min-w-0 flex-1 flex-wrap gap-x-3 overflow-clip leading-11 [overflow-clip-margin:6px]">
          {to ? (
            <Link to={to} className="flex max-w-full">
              {name}
            </Link>
          ) : (
            name
          )}
          {hint && (
            <span className="h-11 min-w-0 flex-[1_1_4.5rem] truncate text-quiet" data-hint>
              {hint}
            </span>
          )}
        </span>
        {children}
        <button
          type="button"
          className="grid size-11 shrink-0 place-items-center"
          aria-label={theme === 'night' ? 'day theme' : 'night theme'}
          onClick={() => chooseTheme(theme === 'night' ? 'day' : 'night')}
        >
          {theme !== 'night' ? <Moon size={20} aria-hidden /> : <Sun size={20} aria-hidden />}
        </button>
      </header>
      <LineBands />
    </>
  );
}
