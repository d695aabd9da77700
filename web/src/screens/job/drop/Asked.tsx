import { shortName, SLACK, type Estimate } from '@iron-cradle/core';
import type { Foresight } from '@iron-cradle/core/foresight';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { LineFacts } from '../LineFacts.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';

/** What the plan asks of each that is still on, and which of the unknown figures change it. */
export function Asked({ foresight }: { foresight: Foresight }) {
  const { enter, answer } = useJob();
  const [open, setOpen] = useState<string | null>(null);
  const [mm, setMm] = useState<number | null>(null);
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
  const keep = async (key: string) => {
    if (mm === null) return;
    if (key.startsWith('line:')) {
      if (!(await answer(SLACK, mm, key.slice(5)))) return;
    } else {
      if (!(await enter('surprise', { what: 'holds', key, lets: mm }))) return;
    }
    setOpen(null);
    setMm(null);
  };
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
                onClick={() => (setOpen(open === row.key ? null : row.key), setMm(null))}
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
                  <QuantityField
                    label={row.key.startsWith('line:') ? 'It lets, measured' : 'The tank meets it at'}
                    dimension="length"
                    unit="mm"
                    decimals={0}
                    hint="two fingers, 45 mm, 1 3/4 in"
                    onRead={(v: Estimate | null) => setMm(v ? Math.floor(v.lo * 1000) : null)}
                  />
                  <button
                    type="button"
                    className="btn w-full"
                    disabled={mm === null}
                    onClick={() => void keep(row.key)}
                  >
                    {mm === null ? 'Type what was measured' : `It lets ${mm} mm`}
                  </button>
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
