import { answerTo, PRICE } from '@iron-cradle/core';
import { EntryForm } from '../../form/EntryForm.tsx';
import { FormQuantity } from '../../form/FormQuantity.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { useJob } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';

/** The price of one part, as the shop asks for it. */
export function PriceForm({ of, currency, onDone }: { of: string; currency: string; onDone: () => void }) {
  const { state } = useJob();
  const known = answerTo(state, PRICE, of);
  const form = useEntryForm({
    kind: 'answer',
    start: { question: PRICE.id, of, ...(known === undefined ? {} : { value: known }) },
    onDone,
  });
  return (
    <EntryForm say={() => form.say()} className="grid gap-4">
      <FormQuantity
        form={form}
        name="value"
        label={`Price${currency ? ` in ${currency}` : ''}`}
        dimension="count"
        unit="one"
        step={0.01}
        decimals={2}
        hint="an amount, as 24.50"
      />
      <Strap type="submit">Keep the price</Strap>
    </EntryForm>
  );
}
