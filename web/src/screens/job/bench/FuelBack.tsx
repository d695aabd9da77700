import { fuelBack, litres, litresInCans, type FuelBack } from '@iron-cradle/core';
import { useWatch } from 'react-hook-form';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { JackCheck } from '../safe/JackCheck.tsx';
import { BenchRow } from './BenchRow.tsx';
import { HandPanel } from './HandPanel.tsx';

/** Sound fuel back in before it goes up, so that the test stop proves joints. */
export function FuelBackRow({ onFuel }: { onFuel: () => void }) {
  const { state } = useJob();
  const words = useWords();
  if (!state.out) return null;
  const { needed } = fuelBack(state, 0);
  return (
    <BenchRow
      id="fuelBack"
      outcome={needed === 0 ? 'good' : 'unknown'}
      title="Fuel to prove with"
      text={
        needed === 0
          ? 'enough over the pick-up: the test stop proves joints'
          : `${words([litres(needed, needed, 1)])} of sound fuel let the test stop prove joints`
      }
      onOpen={onFuel}
    />
  );
}

/** So many litres: what they cover, what it weighs then, how far it may be tipped. */
export function FuelBackPanel({ onDone }: { onDone: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const { needed } = fuelBack(state, 0);
  const form = useEntryForm({ kind: 'fill', start: needed > 0 ? { litres: needed } : {}, onDone });
  const typed = useWatch({ control: form.control, name: 'litres' }) as number | null | undefined;
  const wanted = typeof typed === 'number' && Number.isFinite(typed) ? typed : 0;
  const judged = judgedFor(wanted, () => fuelBack(state, wanted));
  // Out of the cans only what is fit to go back.
  const own = litresInCans(state) > 0.25 && state.containers.some(({ clean }) => clean);
  return (
    <HandPanel
      id="fuelBack"
      title="Fuel to prove with"
      hint="On the bench, through its own port, cap on at once. Never at an open port under the vehicle."
      onDone={onDone}
    >
      {judged && <VerdictView verdict={judged.verdict} />}
      {judged && <JackCheck litres={judged.aboard} />}
      {!state.signed && (
        <>
          <FormQuantity
            form={form}
            name="litres"
            label="Litres put in"
            dimension="volume"
            unit="L"
            step={0.1}
            hint="8 L or 2 gal"
          />
          <Strap
            data-action="fuel-back"
            waitsFor={wanted > 0 ? undefined : 'litres'}
            onClick={() => void form.say({ from: own ? 'cans' : 'new' })}
          >
            {wanted > 0 ? `${words([litres(wanted, wanted, 1)])} ${own ? 'of its own' : 'new'} went in` : 'Went in'}
          </Strap>
        </>
      )}
    </HandPanel>
  );
}

const judgedFor = (wanted: number, judge: () => FuelBack): FuelBack | null =>
  wanted > 0 && wanted < 500 ? judge() : null;
