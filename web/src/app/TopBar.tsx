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
  const name = <span className="narrow truncate text-20 mid:text-24">{title}</span>;
  return (
    <>
      <header className="no-print flex h-13 items-center gap-3 border-b border-rule px-4 mid:px-5">
        {to ? (
          <Link to={to} className="flex min-h-11 min-w-0 items-center">
            {name}
          </Link>
        ) : (
          name
        )}
        {/* Where there is little room the name keeps it. */}
        {hint && <span className="min-w-0 shrink-999 truncate text-quiet">{hint}</span>}
        <span className="flex-1" />
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
