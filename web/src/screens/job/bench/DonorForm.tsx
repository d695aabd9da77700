import { judgeSet, meetingParts, type UnitPart } from '@iron-cradle/core';
import { useState } from 'react';
import { EntryForm } from '../../../form/EntryForm.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { FormText } from '../../../form/FormText.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { VerdictView } from '../../../ui/VerdictView.tsx';

/** Parts from several donors are one set: of each, from whom, and how wide it is where it meets its neighbours. */
export function DonorForm({ part }: { part: UnitPart }) {
  const { state } = useJob();
  const [open, setOpen] = useState(false);
  const said = state.set[part.id];
  const form = useEntryForm({
    kind: 'setPart',
    start: { part: part.id, donor: said?.donor ?? '' },
    onDone: () => setOpen(false),
  });
  if (!meetingParts(state.vehicle).some(({ id }) => id === part.id)) return null;
  const set = judgeSet(state);
  const mm = { form, dimension: 'length', unit: 'mm', step: 0.01, decimals: 2 } as const;
  if (!open)
    return (
      <div className="grid gap-3">
        {said && set && set.outcome !== 'good' && <VerdictView verdict={set} title="As one set" />}
        <button type="button" className="btn" data-action="donor" onClick={() => setOpen(true)}>
          {said ? `From ${said.donor}: measure it again` : 'It comes from another donor'}
        </button>
      </div>
    );
  return (
    <EntryForm say={() => form.say()} label="from another donor">
      <FormText form={form} name="donor" label="From whom" maxLength={60} expected="from whom it comes" />
      <div className="grid grid-cols-2 gap-x-3">
        <FormQuantity {...mm} name="low" label="Its lower end" hint="a bore where it goes over" />
        <FormQuantity {...mm} name="high" label="Its upper end" />
      </div>
      <button type="submit" className="btn" data-action="donor-enter">
        Lay it with the others
      </button>
    </EntryForm>
  );
}
