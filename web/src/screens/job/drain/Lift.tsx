import {
  byJack,
  InputError,
  judgeLift,
  tankMass,
  teamLift,
  type Estimate,
  type LiftPosture,
  type Verdict,
  fuelCelsius,
  kilograms,
  rounded,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { Words } from '../../../ui/Words.tsx';

type How = 'under' | 'standing';
/** Where a lift from a jack to a cart begins, cm; to be typed over. */
const start = { horizontal: 40, vertical: 60, distance: 30 };
const fields = [
  ['horizontal', 'Hands in front of the ankles'],
  ['vertical', 'Hands above the floor'],
  ['distance', 'Up or down by'],
] as const;
const under: LiftPosture[] = ['lying', 'cramped', 'unstable'];

/** The lift by the method, where the method holds: standing, from the jack to a cart. Under the vehicle it does not. */
export function Lift() {
  const { state } = useJob();
  const [how, setHow] = useState<How>(byJack(state.vehicle) ? 'under' : 'standing');
  const [cm, setCm] = useState(start);
  const mass = tankMass(state.vehicle, state.fuel.aboard, fuelCelsius(state));
  const put = (field: keyof typeof start) => (value: Estimate | null) =>
    value && setCm((old) => ({ ...old, [field]: Math.round(value.typ * 100) }));
  let verdict: Verdict | null = null;
  let problem: string | null = null;
  try {
    verdict = judgeLift(mass.hi, { ...cm, asymmetry: 0, frequency: 1, coupling: 0.95 }, how === 'under' ? under : []);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    problem = `Expected ${error.expected} for ${error.field}.`;
  }
  return (
    <div className="grid gap-3">
      <Choice
        label={byJack(state.vehicle) ? 'It is taken off the jack' : 'It is taken out of its place'}
        value={how}
        onChoose={setHow}
        options={[
          { value: 'under', label: 'Lying under it' },
          { value: 'standing', label: 'Standing, to a cart' },
        ]}
      />
      {how === 'standing' && (
        <div className="grid gap-x-3 mid:grid-cols-3 wide:grid-cols-1">
          {fields.map(([field, label]) => (
            <QuantityField
              key={field}
              label={label}
              dimension="length"
              unit="cm"
              decimals={0}
              initial={String(start[field])}
              onRead={put(field)}
            />
          ))}
        </div>
      )}
      {problem ? <p className="font-semibold text-halt">{problem}</p> : verdict && <VerdictView verdict={verdict} />}
      <p className="text-quiet">
        <Words of={[rounded(kilograms, mass, 1)]} />. A team of two may lift {Math.round(teamLift([23, 23]))} kg at the
        very best, not twice 23.
      </p>
    </div>
  );
}
