import { answerTo, PRICE } from '@iron-cradle/core';
import { useForm } from 'react-hook-form';
import { useJob } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { TextField } from '../../ui/TextField.tsx';

/** The price of one part, as the shop asks for it. */
export function PriceForm({ of, currency, onDone }: { of: string; currency: string; onDone: () => void }) {
  const { state, answer } = useJob();
  const known = answerTo(state, PRICE, of);
  const form = useForm({ defaultValues: { price: known === undefined ? '' : String(known) } });
  return (
    <form
      noValidate
      className="grid gap-4"
      onSubmit={(event) =>
        void form.handleSubmit(async ({ price }) => {
          if (!(await answer(PRICE, Number(price.trim().replace(',', '.')), of))) return;
          onDone();
        })(event)
      }
    >
      <TextField
        label={`Price${currency ? ` in ${currency}` : ''}`}
        inputMode="decimal"
        error={form.formState.errors.price?.message}
        {...form.register('price', {
          pattern: { value: /^\s*\d+([.,]\d{1,2})?\s*$/, message: 'Expected an amount, as 24.50.' },
          required: 'Expected an amount, as 24.50.',
        })}
      />
      <Strap type="submit">Keep the price</Strap>
    </form>
  );
}
