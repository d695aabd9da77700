import { usualWaits } from '@iron-cradle/core';
import { format } from 'date-fns';
import { EntryForm } from '../../../form/EntryForm.tsx';
import { useState } from 'react';
import { useController } from 'react-hook-form';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { FormText } from '../../../form/FormText.tsx';
import { FormYesNo } from '../../../form/FormYesNo.tsx';
import { problemAt } from '../../../form/resolver.ts';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { TextField } from '../../../ui/TextField.tsx';

/** Something starts to dry, cure, come or be decided: a tap fills in what is usual. */
export function WaitForm() {
  const [open, setOpen] = useState(false);
  const form = useEntryForm({ kind: 'wait', start: { what: '', state: 'start' }, onDone: () => setOpen(false) });
  const day = useController({ control: form.control, name: 'until' }).field;
  if (!open)
    return (
      <div className="flex flex-wrap gap-3" role="group" aria-label="starts now">
        {usualWaits.map(({ what, minutes, bay }) => (
          <button
            key={what}
            type="button"
            className="btn"
            data-start={what}
            onClick={() => {
              form.reset({ what, state: 'start', bay, ...(minutes === null ? {} : { minutes }) });
              setOpen(true);
            }}
          >
            {what}
          </button>
        ))}
      </div>
    );
  return (
    <EntryForm say={() => form.say()} label="a wait starts">
      <FormText form={form} name="what" label="It waits for" maxLength={80} expected="for what it waits" />
      <div className="grid gap-3 min-[430px]:grid-cols-2">
        <FormQuantity
          form={form}
          name="minutes"
          label="It takes"
          dimension="duration"
          unit="min"
          step={1}
          decimals={0}
        />
        <TextField
          label="Or until the day"
          type="date"
          value={day.value ? format(new Date(day.value as string), 'yyyy-MM-dd') : ''}
          error={problemAt(form.formState.errors, 'until')}
          onChange={(event) =>
            day.onChange(event.target.value === '' ? undefined : new Date(`${event.target.value}T08:00`).toISOString())
          }
        />
      </div>
      <FormYesNo form={form} name="bay" label="The vehicle" yes="Stays in its bay" no="Needs no bay" />
      <div className="grid grid-cols-2 gap-3">
        <button type="button" className="btn" onClick={() => setOpen(false)}>
          Not now
        </button>
        <button type="submit" className="btn" data-action="wait-start">
          It starts now
        </button>
      </div>
    </EntryForm>
  );
}
