import { rangeInWords, witnessWord } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { WitnessButtons } from '../drain/WitnessButtons.tsx';
import { QuickTests } from './QuickTests.tsx';

/** Ask the vehicle: whether the tank is to blame, and what narrows the litres, before anything is opened. */
export function AskTheVehicle() {
  const { state } = useJob();
  return (
    <>
      <QuickTests />
      <h2 className="pt-6 text-20">Ask the vehicle</h2>
      <p className="border-b-2 border-ink pb-3 text-quiet">What is aboard, told a second way.</p>
      <ul className="ruled py-2">
        {state.fuel.steps.map((step) => (
          <li key={step.id} className="flex justify-between gap-3 py-2">
            <span>{witnessWord[step.kind]}</span>
            <span className="reading">{rangeInWords(step.said, 1)} L</span>
          </li>
        ))}
        {state.fuel.steps.length === 0 && (
          <li className="py-2 text-quiet">No witness yet: anything from empty to full.</li>
        )}
      </ul>
      <WitnessButtons kinds={['dip', 'sinceEmpty']} />
    </>
  );
}
