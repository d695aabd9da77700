import { causes, fuelCauses } from '@iron-cradle/core';
import { useJob } from '../../../../log/useJob.ts';
import { Choice } from '../../../../ui/Choice.tsx';

/** What is suspected, said before anything is looked at. */
export function Suspicion() {
  const { state, enter } = useJob();
  if (state.signed) return null;
  return (
    <Choice
      label="Suspected"
      columns="grid-cols-2"
      value={state.suspicion?.cause ?? null}
      options={fuelCauses.map((value) => ({ value, label: causes[value].name }))}
      onChoose={(cause) => void enter('suspected', { cause })}
    />
  );
}
