import { inWords, type Debt } from '@iron-cradle/core';
import { EntryForm } from '../../form/EntryForm.tsx';
import { FormText } from '../../form/FormText.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { Strap } from '../../look/Strap.tsx';

/** Left off or temporary: why, agreed by whom, due when. Printed first on the record. */
export function DeviationForm({ debt, onDone }: { debt: Pick<Debt, 'id' | 'text'>; onDone: () => void }) {
  const form = useEntryForm({ kind: 'deviation', start: { reason: '', who: '', due: '' }, onDone });
  return (
    <EntryForm say={() => form.say({ debt: debt.id, what: inWords(debt.text) })}>
      <FormText
        form={form}
        name="reason"
        label="Why it stays like this"
        maxLength={300}
        expected="a reason in a few words"
      />
      <FormText form={form} name="who" label="Agreed by" maxLength={80} expected="a name" />
      <FormText form={form} name="due" label="Due" maxLength={80} expected="a date or an event, as “next service”" />
      <Strap type="submit">Enter the deviation</Strap>
    </EntryForm>
  );
}
