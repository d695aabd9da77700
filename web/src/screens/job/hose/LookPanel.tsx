import { hoseGrades, hoseStates, type HoseGrade, type HoseState, type Rubber } from '@iron-cradle/core';
import { useState } from 'react';
import { EntryForm } from '../../../form/EntryForm.tsx';
import { FormChoice } from '../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { PickMany } from '../../../ui/PickMany.tsx';

const gradeWord: Record<HoseGrade, string> = {
  R6: 'R6',
  R7: 'R7',
  R9: 'R9',
  R10: 'R10',
  R11: 'R11',
  R14: 'R14',
  metric: 'bore × outside',
  none: 'no print',
};

/** What is printed on it, how wide it is and what it goes on, what is seen of it. */
export function LookPanel({ rubber }: { rubber: Rubber }) {
  const [open, setOpen] = useState(false);
  const form = useEntryForm({
    kind: 'hoseSeen',
    start: { key: rubber.key, is: ['sound'] },
    onDone: () => setOpen(false),
  });
  const is = form.watch('is') as HoseState[];
  const grade = form.watch('grade') as HoseGrade | undefined;
  const pick = (next: string[]) => {
    // Sound and anything else at once is neither: the newest tap counts.
    const fresh = next.find((one) => !is.includes(one as HoseState));
    const kept = fresh === 'sound' ? ['sound'] : next.filter((one) => one !== 'sound');
    form.setValue('is', (kept.length > 0 ? kept : ['sound']) as HoseState[]);
  };
  const mm = { form, dimension: 'length', unit: 'mm', step: 0.01, decimals: 2 } as const;
  if (!open)
    return (
      <button type="button" className="btn" data-action="hose-look" onClick={() => setOpen(true)}>
        Look at it: print, bore, rubber
      </button>
    );
  return (
    <EntryForm say={() => form.say()} label="the hose looked at">
      <FormChoice
        form={form}
        name="grade"
        label="Printed on it"
        columns="grid-cols-3"
        options={hoseGrades.map((value) => ({ value, label: gradeWord[value] }))}
        expected="what is printed on it"
      />
      {grade === 'metric' && (
        <FormQuantity
          form={form}
          name="printedBar"
          label="bar on its print"
          dimension="pressure"
          unit="bar"
          step={0.1}
          decimals={1}
        />
      )}
      <div>
        <p className="pb-1 text-quiet">What is seen of it</p>
        <PickMany things={hoseStates.map((id) => ({ id }))} picked={is} onPick={pick} />
      </div>
      <div className="grid grid-cols-2 gap-x-3">
        <FormQuantity {...mm} name="bore" label="Its bore" />
        <FormQuantity {...mm} name="pipe" label="Pipe at the tank" />
        <FormQuantity {...mm} name="other" label="Pipe at its other end" />
        <FormQuantity form={form} name="year" label="Year on it" dimension="count" unit="one" step={1} decimals={0} />
      </div>
      <button type="submit" className="btn" data-action="hose-judge">
        Judge it
      </button>
    </EntryForm>
  );
}
