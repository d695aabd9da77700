import { placesOf, standingFindings, TEST_STOP } from '@iron-cradle/core';
import { useJob } from '../../../../log/useJob.ts';
import { Shape } from '../../../../look/Shapes.tsx';

/** What a halt is answered by; the lead may overrule it at the gate instead. */
const ANSWERS = ['repaired', 'replaced', 'cleaned'] as const;

/** What was found at no place of the drawing: where soap foamed, what an instrument told. */
export function OtherFindings() {
  const { state, enter } = useJob();
  const drawn = placesOf(state.vehicle).map(({ id }) => id as string);
  const found = standingFindings(state.findings).filter(
    ({ what, where, verdict }) => what !== TEST_STOP && !drawn.includes(where) && verdict !== 'good',
  );
  if (found.length === 0) return null;
  return (
    <ul className="ruled border-b border-rule" aria-label="found elsewhere">
      {found.map((finding) => (
        <li key={`${finding.what}/${finding.where}`} className="flex items-start gap-3 py-2">
          <Shape outcome={finding.verdict} />
          <div className="min-w-0 flex-1">
            <p className="narrow text-20">{finding.what}</p>
            <p className="text-quiet">
              {finding.where}
              {finding.note ? `; ${finding.note}` : ''}
            </p>
            {!state.signed && (
              <div className="grid grid-cols-3 gap-3 pt-2" role="group" aria-label={`answer to ${finding.what}`}>
                {ANSWERS.map((note) => (
                  <button
                    key={note}
                    type="button"
                    className="btn"
                    data-answered={note}
                    onClick={() =>
                      void enter('finding', { what: finding.what, where: finding.where, verdict: 'good', note })
                    }
                  >
                    {note}
                  </button>
                ))}
              </div>
            )}
          </div>
        </li>
      ))}
    </ul>
  );
}
