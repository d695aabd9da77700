import { CREEP, lengthIn, shortName, type Holder, type UnitSystem } from '@iron-cradle/core';
import type { ReactNode } from 'react';
import { Shape } from '../../look/Shapes.tsx';
import { bar } from './layout.ts';

/** What an eye said of a line: it is tight, nearly so, it can’t be seen, or nothing yet. */
export type Seen = 'tight' | 'nearly' | 'unseen' | null;

interface LadderProps {
  holders: readonly Holder[];
  units: UnitSystem;
  /** Tapped once: looks tight; twice: nearly; three times: can’t be seen; four times: as it was. */
  seen: Record<string, Seen>;
  onSeen?: (key: string) => void;
  /** What stands before a row: its tag. */
  start?: (holder: Holder) => ReactNode;
  /** The control at the end of a row. */
  end?: (holder: Holder) => ReactNode;
  /** Rows on top of these: what comes off at this stop. */
  children?: ReactNode;
}

const percent = (share: number): string => `${share * 100}%`;
const said = { tight: 'looks tight', nearly: 'nearly tight', unseen: 'can’t see it' } as const;

/** Room left, a bar a line, shortest first: solid for what it gives for certain, hatched for what is only guessed. */
export function Ladder({ holders, units, seen, onSeen, start, end, children }: LadderProps) {
  return (
    <ul className="ruled" aria-label={`room left, ${units === 'us' ? 'inches' : 'millimetres'}`}>
      {children}
      {holders.map((holder, i) => {
        const told = seen[holder.key] ?? null;
        // Less than one creep is left: it holds now.
        const holds = i === 0 && holder.room.lo < CREEP;
        const row = <Rung holder={holder} told={told} holds={holds} units={units} />;
        return (
          <li key={holder.key} className="flex items-center gap-2" data-holder={holder.key}>
            {start?.(holder)}
            {onSeen && holder.key.startsWith('line:') ? (
              <button
                type="button"
                className="flex min-h-14 min-w-0 flex-1 items-center gap-2"
                aria-pressed={told !== null}
                onClick={() => onSeen(holder.key)}
              >
                {row}
              </button>
            ) : (
              <div className="flex min-h-14 min-w-0 flex-1 items-center gap-2">{row}</div>
            )}
            {end?.(holder)}
          </li>
        );
      })}
    </ul>
  );
}

/** Name and what is said of it, its bar, its figure. */
function Rung({ holder, told, holds, units }: { holder: Holder; told: Seen; holds: boolean; units: UnitSystem }) {
  const { lo, hi } = holder.room;
  const { solid, guessed } = bar(holder);
  const bad = told === null ? holds : told !== 'unseen';
  const [least, most] = [lengthIn(lo, units).figure, lengthIn(hi, units).figure];
  const figure = least === most ? least : hi >= 900 ? `${least}+` : `${least}–${most}`;
  const word = told ? said[told] : holds ? 'holds it' : holder.known ? '' : 'guessed';
  return (
    <>
      <span className="min-w-21 flex-[0_1_34%] text-left leading-tight">
        <span className="narrow block text-20 leading-none">{shortName(holder.name)}</span>
        {word && (
          <span
            className={`flex items-center gap-1 text-16 leading-none ${bad ? 'font-semibold text-halt' : 'text-quiet'}`}
          >
            {bad && <Shape outcome="bad" size={14} label="halt" />}
            {told === 'unseen' && <Shape outcome="unknown" size={14} label="not known" />}
            {word}
          </span>
        )}
      </span>
      <span className="relative h-6 min-w-10 flex-1">
        <span
          className={`absolute inset-y-0 left-0 min-w-1 ${bad ? 'bg-halt' : 'bg-ink'}`}
          style={{ width: percent(solid) }}
        />
        {guessed > 0 && (
          <span
            className="absolute inset-y-0 border border-ink bg-[repeating-linear-gradient(135deg,var(--quiet)_0_1.5px,transparent_1.5px_6px)]"
            style={{ left: percent(solid), width: percent(guessed) }}
          />
        )}
      </span>
      <span className="reading shrink-0 text-right text-16">{figure}</span>
    </>
  );
}
