import type { UnitPart } from '@iron-cradle/core';
import { useState } from 'react';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { FormQuantity } from '../../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';

/** A bent arm shows in no sweep: the float’s height below the flange at both stops, beside a sound one’s. */
export function ArmForm({ part }: { part: UnitPart }) {
  const [open, setOpen] = useState(false);
  const form = useEntryForm({ kind: 'armMeasured', start: { part: part.id }, onDone: () => setOpen(false) });
  const mm = { form, dimension: 'length', unit: 'mm', step: 1, decimals: 0 } as const;
  if (!open)
    return (
      <button type="button" className="btn" data-action="arm" onClick={() => setOpen(true)}>
        Float’s height at both stops
      </button>
    );
  return (
    <EntryForm say={() => form.say()} label="float’s height">
      <p className="text-quiet">
        Flange to the middle of the float, by a rule; beside it a sound one, the new one or the file’s.
      </p>
      <div className="grid grid-cols-2 gap-x-3">
        <FormQuantity {...mm} name="empty" label="This one, at empty" />
        <FormQuantity {...mm} name="full" label="This one, at full" />
        <FormQuantity {...mm} name="wasEmpty" label="A sound one, at empty" />
        <FormQuantity {...mm} name="wasFull" label="A sound one, at full" />
      </div>
      <button type="submit" className="btn" data-action="arm-judge">
        Judge it
      </button>
    </EntryForm>
  );
}
