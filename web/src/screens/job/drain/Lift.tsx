import {
  InputError,
  judgeLift,
  rangeInWords,
  tankMass,
  teamLift,
  type Estimate,
  type LiftPosture,
  type Verdict,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

type How = 'under' | 'standing';
const under: LiftPosture[] = ['lying', 'cramped', 'unstable'];

/** The lift by the method, where the method holds: standing, from the jack to a cart. Under the vehicle it does not. */
export function Lift() {
  const { state } = useJob();
  const [how, setHow] = useState<How>('under');
  const [cm, setCm] = useState({ horizontal: 40, vertical: 60, distance: 30 });
  const mass = tankMass(state.vehicle, state.fuel.aboard);
  const put = (field: keyof typeof cm) => (value: Estimate | null) =>
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
        label="It is taken off the jack"
        value={how}
        onChoose={setHow}
        options={[
          { value: 'under', label: 'Lying under it' },
          { value: 'standing', label: 'Standing, to a cart' },
        ]}
      />
      {how === 'standing' && (
        <div className="grid gap-x-3 mid:grid-cols-3 wide:grid-cols-1">
          <QuantityField
            label="Hands in front of the ankles"
            dimension="length"
            unit="cm"
            decimals={0}
            initial="40"
            onRead={put('horizontal')}
          />
          <QuantityField
            label="Hands above the floor"
            dimension="length"
            unit="cm"
            decimals={0}
            initial="60"
            onRead={put('vertical')}
          />
          <QuantityField
            label="Up or down by"
            dimension="length"
            unit="cm"
            decimals={0}
            initial="30"
            onRead={put('distance')}
          />
        </div>
      )}
      {problem ? <p className="font-semibold text-halt">{problem}</p> : verdict && <VerdictView verdict={verdict} />}
      <p className="text-quiet">
        {rangeInWords(mass, 1)} kg. A team of two may lift {Math.round(teamLift([23, 23]))} kg at the very best, not
        twice 23.
      </p>
    </div>
  );
}
