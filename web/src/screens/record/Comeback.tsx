import { comeback, SHOWS, type JobState, type Show } from '@iron-cradle/core';
import { useState } from 'react';
import { Tag } from '../../look/Tag.tsx';
import { Choice } from '../../ui/Choice.tsx';

const COLUMNS = 'grid-cols-1 min-[480px]:grid-cols-2 wide:grid-cols-4';

/** A signed job came back: by how it shows, the joints and parts it could be, the likeliest first. */
export function Comeback({ state }: { state: JobState }) {
  const [shows, setShows] = useState<Show | null>(null);
  if (!state.signed) return null;
  const suspects = shows ? comeback(state, shows) : [];
  return (
    <details className="no-print mx-auto max-w-[51.5rem] px-4 pb-4" data-comeback>
      <summary className="min-h-11 cursor-pointer text-20 underline underline-offset-4">It came back</summary>
      <div className="grid gap-4 pt-2">
        <Choice
          label="How does it show?"
          columns={COLUMNS}
          value={shows}
          options={(Object.keys(SHOWS) as Show[]).map((value) => ({ value, label: SHOWS[value] }))}
          onChoose={setShows}
        />
        {shows && suspects.length === 0 && (
          <p className="text-quiet">Nothing that was opened on this job shows so: look beyond it.</p>
        )}
        <ol className="ruled">
          {suspects.slice(0, 8).map(({ key, name, why, weight }) => (
            <li key={key} className="grid grid-cols-[3rem_1fr_auto] items-center gap-3 py-2" data-suspect={key}>
              <Tag number={state.numbers[key] ?? null} open={false} />
              <span>
                <span className="narrow block text-20">{name}</span>
                <span className="text-quiet">{why.join('; ')}</span>
              </span>
              {/* A bar as long as what speaks for it. */}
              <svg width="96" height="14" viewBox="0 0 96 14" aria-hidden>
                <path
                  d={`M0 7H${Math.min(96, (96 * weight) / (suspects[0]?.weight || 1))}`}
                  stroke="var(--ink)"
                  strokeWidth="10"
                />
              </svg>
            </li>
          ))}
        </ol>
        {suspects.length > 0 && (
          <p className="text-quiet">
            Look at the first of them wet and under what makes it show. A weep: the lead opens this job again, or a new
            one is begun.
          </p>
        )}
      </div>
    </details>
  );
}
