import { shortName } from '@iron-cradle/core';
import type { Foresight } from '@iron-cradle/core/foresight';
import { useState } from 'react';
import { LineFacts } from '../LineFacts.tsx';
import { Measured } from '../Measured.tsx';

/** What the plan asks of each that is still on, and which of the unknown figures change it. */
export function Asked({ foresight }: { foresight: Foresight }) {
  const [open, setOpen] = useState<string | null>(null);
  const stake = (key: string) => foresight.matters.find((m) => m.key === key || m.also?.key === key);
  const rows = [
    ...foresight.asks,
    ...foresight.matters
      .filter((m) => !foresight.asks.some((a) => a.key === m.key))
      .map((m) => ({ key: m.key, name: m.name, mm: 0, lo: m.lo, hi: m.hi })),
  ];
  if (rows.length === 0) return null;
  const weight = (key: string) => {
    const m = stake(key);
    return m ? (m.minutes ?? Infinity) : -1;
  };
  const ranked = [...rows].sort((a, b) => weight(b.key) - weight(a.key) || b.mm - a.mm);
  return (
    <section aria-label="what the plan asks" className="border-t border-rule pt-3">
      <p className="text-quiet">
        What the plan asks of what is still on; the first decide most. Measure one, or leave it.
      </p>
      <ul className="ruled">
        {ranked.map((row) => {
          const m = stake(row.key);
          return (
            <li key={row.key} className="py-1">
              <button
                type="button"
                className="flex min-h-16 w-full items-center gap-3 text-left"
                aria-expanded={open === row.key}
                data-asked={row.key}
                onClick={() => setOpen(open === row.key ? null : row.key)}
              >
                <span className="min-w-0 flex-1">
                  <span className="narrow block text-20">{shortName(row.name)}</span>
                  <span className="text-quiet">
                    {row.mm > 0 ? `needs to let ${row.mm} mm; ` : ''}
                    known {row.lo === row.hi ? Math.round(row.lo) : `${Math.round(row.lo)} to ${Math.round(row.hi)}`} mm
                  </span>
                </span>
                {m && (
                  <span className="shrink-0 text-right font-semibold">
                    {m.minutes === null ? 'decides the way' : `${Math.max(1, Math.round(m.minutes))} min at stake`}
                    {m.also && (
                      <span className="block font-normal">
                        with the {shortName(m.also.key === row.key ? m.name : m.also.name)}
                      </span>
                    )}
                  </span>
                )}
              </button>
              {open === row.key && (
                <div className="pb-3">
                  <LineFacts about={row.key} />
                  <Measured about={row.key} onKept={() => setOpen(null)} />
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
