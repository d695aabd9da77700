import { answerTo, PRICE } from '@iron-cradle/core';
import { EntryForm } from '../../form/EntryForm.tsx';
import { FormPrice } from '../../form/FormPrice.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { useJob } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';

/** The price of one part, as the shop asks for it. */
export function PriceForm({ of, onDone }: { of: string; onDone: () => void }) {
  const { state } = useJob();
  const known = answerTo(state, PRICE, of);
  const form = useEntryForm({
    kind: 'answer',
    start: { question: PRICE.id, of, ...(known === undefined ? {} : { value: known }) },
    onDone,
  });
  return (
    <EntryForm say={() => form.say()} className="grid gap-4">
      <FormPrice form={form} name="value" label="Price" hint="an amount, as 24.50" />
      <Strap type="submit">Keep the price</Strap>
    </EntryForm>
  );
}
