import { pinWord, type PinUse } from '@iron-cradle/core';

interface PlugDrawingProps {
  /** Of the old part, and of the new one. */
  rows: { old: readonly PinUse[]; now: readonly PinUse[] };
  chosen: { row: 'old' | 'now'; pin: number } | null;
  onChoose: (row: 'old' | 'now', pin: number) => void;
}

/** What stands in a cavity. */
const MARK: Record<Exclude<PinUse, 'ground'>, string> = { pump: '+', sender: 'Ω', signal: 'S', none: '' };

/** Two plugs seen from their open end, the same end first, cavity under cavity: what does not match is tied by a broken line. */
export function PlugDrawing({ rows, chosen, onChoose }: PlugDrawingProps) {
  return (
    <div role="group" aria-label="plugs, cavity by cavity" className="grid gap-0 overflow-x-auto">
      {(['old', 'now'] as const).map((row) => (
        <div key={row} className={`flex items-center gap-3 ${row === 'now' ? 'pt-6' : ''}`}>
          <span className="narrow w-10 shrink-0 text-20">{row === 'old' ? 'old' : 'new'}</span>
          <div className={`flex gap-2 border-[3px] border-ink bg-well p-2 ${row === 'old' ? 'border-dashed' : ''}`}>
            {rows[row].map((use, i) => {
              const same = rows.old[i] === rows.now[i];
              return (
                <button
                  key={i}
                  type="button"
                  className={`relative grid size-16 shrink-0 place-items-center border-2 border-ink ${
                    chosen?.row === row && chosen.pin === i ? 'bg-ground outline-3 outline-ink' : 'bg-sheet'
                  }`}
                  aria-pressed={chosen?.row === row && chosen.pin === i}
                  aria-label={`${row === 'old' ? 'old' : 'new'}, pin ${i + 1}: ${pinWord[use]}`}
                  data-pin={`${row} ${i + 1}`}
                  onClick={() => onChoose(row, i)}
                >
                  <span className="absolute left-1 top-0 text-16 text-quiet">{i + 1}</span>
                  {use === 'ground' ? <Ground /> : <span className="reading text-32 leading-none">{MARK[use]}</span>}
                  {row === 'now' && (
                    <span
                      aria-hidden
                      className={`absolute -top-[38px] left-1/2 h-[26px] w-0 border-l-4 ${
                        same ? 'border-ink' : 'border-dashed border-halt'
                      }`}
                    />
                  )}
                </button>
              );
            })}
          </div>
        </div>
      ))}
    </div>
  );
}

/** Ground: a stem on three bars that grow shorter. */
const Ground = () => (
  <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden>
    <path d="M15 2V13M3 13H27M8 19H22M12 25H18" fill="none" stroke="currentColor" strokeWidth="3" />
  </svg>
);
