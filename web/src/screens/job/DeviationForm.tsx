import { inWords, type Debt } from '@iron-cradle/core';
import { useForm } from 'react-hook-form';
import { useJob } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { TextField } from '../../ui/TextField.tsx';

interface Fields {
  reason: string;
  who: string;
  due: string;
}

const some = (what: string) => (value: string) => value.trim().length >= 3 || `Expected ${what}.`;

/** Left off or temporary: why, agreed by whom, due when. Printed first on the record. */
export function DeviationForm({ debt, onDone }: { debt: Pick<Debt, 'id' | 'text'>; onDone: () => void }) {
  const { enter } = useJob();
  const form = useForm<Fields>({ defaultValues: { reason: '', who: '', due: '' } });
  const { errors } = form.formState;
  const done = async (fields: Fields) => {
    if (
      !(await enter('deviation', {
        debt: debt.id,
        what: inWords(debt.text),
        reason: fields.reason.trim(),
        who: fields.who.trim(),
        due: fields.due.trim(),
      }))
    )
      return;
    form.reset();
    onDone();
  };
  return (
    <form className="grid gap-3" noValidate onSubmit={(event) => void form.handleSubmit(done)(event)}>
      <TextField
        label="Why it stays like this"
        error={errors.reason?.message}
        {...form.register('reason', { validate: some('a reason in a few words') })}
      />
      <TextField
        label="Agreed by"
        error={errors.who?.message}
        {...form.register('who', { validate: some('a name') })}
      />
      <TextField
        label="Due"
        error={errors.due?.message}
        {...form.register('due', { validate: some('a date or an event, as “next service”') })}
      />
      <Strap type="submit">Enter the deviation</Strap>
    </form>
  );
}
