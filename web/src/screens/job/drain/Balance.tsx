import { fuelBalance } from '@iron-cradle/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { FormChoice } from '../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { Words } from '../../../ui/Words.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

type What = 'spilled' | 'returned' | 'disposed' | 'fedIn';
const words: { value: What; label: string }[] = [
  { value: 'spilled', label: 'Spilt' },
  { value: 'returned', label: 'Put back in' },
  { value: 'disposed', label: 'Disposed of' },
  { value: 'fedIn', label: 'Came in by itself' },
];

/** Every litre accounted for: aboard before, in cans, spilt, back, away, aboard after; what is left over is named. */
export function Balance() {
  const { state } = useJob();
  const [open, setOpen] = useState(false);
  const form = useEntryForm({ kind: 'fuelMoved', start: { what: 'spilled' }, onDone: () => setOpen(false) });
  const typed = useWatch({ control: form.control, name: 'litres' }) as number | null | undefined;
  const balance = fuelBalance(state);
  const rows: [string, number][] = [
    ['in cans', balance.inCans],
    ['spilt', balance.spilled],
    ['put back in', balance.returned + balance.filled],
    ['disposed of', balance.disposed],
    ['came in by itself', balance.fedIn],
  ];
  return (
    <section aria-label="balance of the fuel">
      <VerdictView verdict={balance.verdict} compact />
      <dl className="flex flex-wrap gap-x-5 py-2">
        {rows
          .filter(([name, value]) => name === 'in cans' || value > 0)
          .map(([name, value]) => (
            <div key={name} className="flex gap-2">
              <dt className="text-quiet">{name}</dt>
              <dd className="reading">{Math.round(value * 10) / 10} L</dd>
            </div>
          ))}
      </dl>
      {balance.verdict.outcome !== 'good' && balance.verdict.next[0] && (
        <p className="pb-2 font-semibold">
          Next: <Words of={balance.verdict.next[0]} />.
        </p>
      )}
      {!state.signed && (
        <button type="button" className="btn w-full" data-action="fuel-moved" onClick={() => setOpen(true)}>
          It went another way
        </button>
      )}
      <Sheet
        open={open}
        onClose={() => setOpen(false)}
        title="It went another way"
        hint="A temporary feed or a return line can fill a tank behind one’s back."
      >
        <div className="grid gap-4">
          <FormChoice form={form} name="what" label="What happened" options={words} />
          <FormQuantity
            form={form}
            name="litres"
            label="Litres, as near as you can say"
            dimension="volume"
            unit="L"
            step={0.1}
          />
          <Strap
            onClick={() => void form.say()}
            waitsFor={
              typed === null || typed === undefined ? 'type the litres' : typed <= 0 ? 'more than nothing' : undefined
            }
          >
            Enter it
          </Strap>
        </div>
      </Sheet>
    </section>
  );
}
