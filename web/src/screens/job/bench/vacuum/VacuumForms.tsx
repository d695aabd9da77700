import { fallOf, wayFrom, type TesterState, type VacuumReading, type WayState } from '@iron-cradle/core';
import { useState } from 'react';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { FormChoice } from '../../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { Watch } from './Watch.tsx';

const ways: { value: WayState; label: string }[] = [
  { value: 'holds', label: 'Holds' },
  { value: 'lets', label: 'Lets go slowly' },
  { value: 'nothing', label: 'No vacuum' },
];

/** A valve both ways, by what was seen or what the vacuum pump shows. */
export function ValveForm({ valve, tester }: { valve: string; tester: TesterState }) {
  const form = useEntryForm({ kind: 'valveTried', start: { valve, tester } });
  return (
    <EntryForm say={() => form.say()}>
      <FormChoice
        form={form}
        name="against"
        label="Against its arrow"
        columns="grid-cols-3"
        options={ways}
        expected="what it did"
      />
      <Watch
        channel="against"
        label="Watch it, against"
        onWatched={(read) => form.setValue('against', wayFrom(read))}
      />
      <FormChoice
        form={form}
        name="along"
        label="Along its arrow"
        columns="grid-cols-3"
        options={ways}
        expected="what it did"
      />
      <Watch channel="along" label="Watch it, along" onWatched={(read) => form.setValue('along', wayFrom(read))} />
      {valve === 'foot valve' && (
        <div className="grid gap-x-3 min-[480px]:grid-cols-2">
          <FormQuantity
            form={form}
            name="kPa"
            label="It held"
            dimension="pressure"
            unit="kPa"
            step={0.1}
            decimals={1}
          />
          <FormQuantity
            form={form}
            name="lift"
            label="The fuel stands above it"
            dimension="length"
            unit="m"
            step={0.01}
            decimals={2}
          />
        </div>
      )}
      <button type="submit" className="btn" data-action="valve-judge">
        Judge it
      </button>
    </EntryForm>
  );
}

/** A line plugged at one end. */
export function LineForm({ line, tester }: { line: string; tester: TesterState }) {
  const form = useEntryForm({ kind: 'lineHeld', start: { line, tester } });
  const [taken, setTaken] = useState(0);
  const take = (readings: readonly VacuumReading[]) => {
    const { from, to, seconds } = fallOf(readings);
    form.setValue('from', from);
    form.setValue('to', to);
    form.setValue('seconds', Math.max(1, seconds));
    setTaken((n) => n + 1);
  };
  return (
    <EntryForm say={() => form.say()} className="grid gap-1">
      <Watch channel="line" label="Watch it for a minute" onWatched={take} />
      <div key={taken} className="grid gap-x-3 min-[480px]:grid-cols-3">
        <FormQuantity
          form={form}
          name="from"
          label="Vacuum at first"
          dimension="pressure"
          unit="kPa"
          step={0.1}
          decimals={1}
        />
        <FormQuantity
          form={form}
          name="to"
          label="At the end"
          dimension="pressure"
          unit="kPa"
          step={0.1}
          decimals={1}
        />
        <FormQuantity form={form} name="seconds" label="After" dimension="duration" unit="s" step={1} decimals={0} />
      </div>
      <button type="submit" className="btn" data-action="line-judge">
        Judge it
      </button>
    </EntryForm>
  );
}
