import { FIRST_FILL, litresInCans, litres, rounded } from '@iron-cradle/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { useWords, Words } from '../../../ui/Words.tsx';

/** Litres that go back in: a first fill, then looks, then further. */
export function Fill() {
  const { state, enter } = useJob();
  const words = useWords();
  const form = useEntryForm({ kind: 'fill', start: {} });
  const typed = useWatch({ control: form.control, name: 'litres' }) as number | null | undefined;
  const inCans = litresInCans(state);
  const [chosen, setChosen] = useState<'cans' | 'new' | null>(null);
  const from = chosen ?? (inCans > 0 ? 'cans' : 'new');
  const room = state.vehicle.tank.litres.hi - state.fuel.aboard.lo;
  const wanted = Number.isFinite(typed) ? (typed ?? 0) : 0;
  // What went in went in: said, never refused.
  const doubt =
    wanted > room
      ? `More than ${words([litres(state.vehicle.tank.litres.hi)])}, which the file says it holds at most, with ${words([rounded(litres, state.fuel.aboard, 1)])} aboard: really?`
      : from === 'cans' && wanted > inCans + 0.05
        ? `Only ${words([litres(inCans, inCans, 1)])} stand in cans: really?`
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
          <FormQuantity
            form={form}
            name="litres"
            label="Litres put in"
            dimension="volume"
            unit="L"
            step={0.1}
            hint="9 L or 2 1/2 gal"
          />
          <div className="pb-3">
            <Choice
              label="Which fuel"
              value={from}
              onChoose={setChosen}
              options={[
                { value: 'cans', label: 'Its own, from the cans' },
                { value: 'new', label: 'New' },
              ]}
            />
          </div>
          {doubt && (
            <p role="status" className="pb-2 font-semibold text-look">
              {doubt}
            </p>
          )}
          <button
            type="button"
            className="btn w-full"
            data-action="fill"
            disabled={wanted <= 0}
            onClick={() => void form.say({ from })}
          >
            {wanted > 0 ? `${words([litres(wanted, wanted, 1)])} went in` : 'Went in'}
          </button>
          {inCans >= 0.3 && (
            <div className="grid gap-3 pt-4">
              <p>
                <Words of={[litres(inCans, inCans, 1)]} /> of the customer’s fuel still stand in cans.
              </p>
              <button
                type="button"
                className="btn w-full"
                data-action="cans-away"
                onClick={() =>
                  void enter('fuelMoved', {
                    what: 'disposed',
                    litres: Math.round(inCans * 100) / 100,
                    words: 'handed over or disposed of',
                  })
                }
              >
                Handed over or disposed of
              </button>
            </div>
          )}
        </>
      )}
    </section>
  );
}
