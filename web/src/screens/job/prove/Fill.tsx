import { FIRST_FILL, rangeInWords, type Estimate } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { QuantityField } from '../../../ui/QuantityField.tsx';

/** Litres that go back in: a first fill, then looks, then further. */
export function Fill() {
  const { state, enter } = useJob();
  const [litres, setLitres] = useState<Estimate | null>(null);
  const room = state.vehicle.tank.litres.hi - state.fuel.aboard.lo;
  const wanted = litres ? Math.round(litres.typ * 10_000) / 10 : 0;
  const problem =
    litres && wanted > room
      ? `The tank holds ${state.vehicle.tank.litres.hi} L at most and has ${rangeInWords(state.fuel.aboard, 1)} L.`
      : null;
  return (
    <section aria-label="fill">
      <h2 className="text-24">First fill</h2>
      <p className="text-quiet">
        About {FIRST_FILL.lo} to {FIRST_FILL.hi} L first, then look at every joint; then half, then full: filler,
        breather and ring only leak when wet.
      </p>
      <p className="py-2">
        {state.fills.length === 0
          ? 'Nothing put in yet.'
          : `${state.fills.map((f) => `${f.litres} L`).join(' + ')} put in; ${rangeInWords(state.fuel.aboard, 1)} L aboard.`}
      </p>
      {!state.signed && (
        <>
          <QuantityField
            key={state.fills.length}
            label="Litres put in"
            dimension="volume"
            unit="L"
            onRead={setLitres}
            hint="9 L or 2 1/2 gal"
          />
          {problem && <p className="pb-2 font-semibold text-halt">{problem}</p>}
          <button
            type="button"
            className="btn w-full"
            data-action="fill"
            disabled={!litres || wanted <= 0 || problem !== null}
            onClick={() => void enter('fill', { litres: wanted }).then(() => setLitres(null))}
          >
            {litres && !problem ? `${wanted} L went in` : 'Went in'}
          </button>
        </>
      )}
    </section>
  );
}
