import { FIRST_FILL, type Estimate, litres, rounded } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { useWords, Words } from '../../../ui/Words.tsx';

/** Litres that go back in: a first fill, then looks, then further. */
export function Fill() {
  const { state, enter } = useJob();
  const words = useWords();
  const [typed, setTyped] = useState<Estimate | null>(null);
  const room = state.vehicle.tank.litres.hi - state.fuel.aboard.lo;
  const wanted = typed ? Math.round(typed.typ * 10_000) / 10 : 0;
  const problem =
    typed && wanted > room
      ? `The tank holds ${words([litres(state.vehicle.tank.litres.hi)])} at most and has ${words([rounded(litres, state.fuel.aboard, 1)])}.`
      : null;
  return (
    <section aria-label="fill">
      <h2 className="text-24">First fill</h2>
      <p className="text-quiet">
        About <Words of={[litres(FIRST_FILL.lo, FIRST_FILL.hi)]} /> first, then look at every joint; then half, then
        full: filler, breather and ring only leak when wet.
      </p>
      <p className="py-2">
        {state.fills.length === 0
          ? 'Nothing put in yet.'
          : `${state.fills.map((f) => words([litres(f.litres, f.litres, 1)])).join(' + ')} put in; ${words([rounded(litres, state.fuel.aboard, 1)])} aboard.`}
      </p>
      {!state.signed && (
        <>
          <QuantityField
            key={state.fills.length}
            label="Litres put in"
            dimension="volume"
            unit="L"
            onRead={setTyped}
            hint="9 L or 2 1/2 gal"
          />
          {problem && <p className="pb-2 font-semibold text-halt">{problem}</p>}
          <button
            type="button"
            className="btn w-full"
            data-action="fill"
            disabled={!typed || wanted <= 0 || problem !== null}
            onClick={() => void enter('fill', { litres: wanted }).then(() => setTyped(null))}
          >
            {typed && !problem ? `${words([litres(wanted, wanted, 1)])} went in` : 'Went in'}
          </button>
        </>
      )}
    </section>
  );
}
