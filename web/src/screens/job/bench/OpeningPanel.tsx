import { judgeRung, ladderOf, LIFT_OUT, nextRung, unitOf, type RungId } from '@iron-cradle/core';
import { useState } from 'react';
import { Ladder } from '../../../drawings/opening/Rungs.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { HandPanel } from './HandPanel.tsx';

/** The ring comes open rung by rung, the gentlest first; then the unit is lifted out. */
export function OpeningPanel({ onDone }: { onDone: () => void }) {
  const { state, enter } = useJob();
  const { kind } = unitOf(state.vehicle);
  const tried = state.tried.map(({ rung }) => rung);
  const [chosen, setChosen] = useState<RungId | null>(null);
  const ladder = ladderOf(kind);
  const rung = ladder.find(({ id }) => id === (chosen ?? nextRung(kind, tried)?.id)) ?? null;
  const opened = async () => {
    // By which rung it came open stands in the log too, when somebody touched one.
    if (chosen && !tried.includes(chosen) && !(await enter('ringTried', { rung: chosen }))) return;
    if (await enter('ring', { state: 'opened' })) onDone();
  };
  const verdict = rung && judgeRung(kind, rung.id, tried);
  return (
    <HandPanel
      id="opening"
      title="It comes open"
      hint="Rung by rung, the gentlest first. The service information for this vehicle comes first."
      onDone={onDone}
    >
      <Ladder
        rungs={ladder.map(({ id, name }) => ({ id, name, tried: tried.includes(id) }))}
        chosen={rung?.id ?? null}
        onChoose={setChosen}
      />
      {rung && !state.signed && (
        <section aria-label={rung.name} className="grid gap-3 border-l-4 border-ink pl-3" data-rung={rung.id}>
          <p>
            <span className="narrow text-20">{rung.name}.</span> {rung.how}
          </p>
          {verdict && verdict.outcome !== 'good' && <VerdictView verdict={verdict} />}
          {rung.waits > 0 && (
            <button
              type="button"
              className="btn"
              onClick={() => void enter('wait', { what: 'ring soaks', state: 'start', minutes: rung.waits, bay: true })}
            >
              Start: ring soaks, {rung.waits} min
            </button>
          )}
          <button
            type="button"
            className="btn"
            data-action="rung-tried"
            onClick={() => void enter('ringTried', { rung: rung.id }).then((stands) => stands && setChosen(null))}
          >
            Done, it is still shut
          </button>
        </section>
      )}
      <ul className="grid gap-1 text-quiet">
        {LIFT_OUT.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {!state.signed && state.ring !== 'opened' && (
        <Strap data-action="it-is-open" onClick={() => void opened()}>
          It is open, the unit is out
        </Strap>
      )}
    </HandPanel>
  );
}
