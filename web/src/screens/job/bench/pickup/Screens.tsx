import { format } from 'date-fns';
import { useState } from 'react';
import { EntryForm } from '../../../../form/EntryForm.tsx';
import { FormYesNo } from '../../../../form/FormYesNo.tsx';
import { useEntryForm } from '../../../../form/useEntryForm.ts';
import { useJob } from '../../../../log/useJob.ts';
import { TextField } from '../../../../ui/TextField.tsx';
import { VerdictView } from '../../../../ui/VerdictView.tsx';

/** Screens in the tank have a history: when they were cleaned says when they are due, and what removing them takes. */
export function Screens() {
  const { state } = useJob();
  const [day, setDay] = useState('');
  const [days, setDays] = useState<string[]>([]);
  const form = useEntryForm({ kind: 'screensKnown', start: { cleaned: [] }, onDone: () => setDays([]) });
  const today = format(new Date(), 'yyyy-MM-dd');
  return (
    <section aria-label="screens" className="grid gap-3">
      <h3 className="border-b-2 border-ink pb-1 text-20">Screens in the tank</h3>
      {state.screens && (
        <div data-screens={state.screens.verdict.outcome}>
          <VerdictView verdict={state.screens.verdict} />
          {state.screens.due && (
            <p className="pt-1 text-quiet">
              Due between {state.screens.due.from} and {state.screens.due.to}.
            </p>
          )}
        </div>
      )}
      {!state.signed && (
        <EntryForm say={() => form.say({ cleaned: days, today })} label="screens’ history">
          <div className="grid grid-cols-[1fr_auto] items-start gap-3">
            <TextField
              label="Cleaned on"
              type="date"
              max={today}
              value={day}
              onChange={(e) => setDay(e.target.value)}
            />
            <button
              type="button"
              className="btn mt-6"
              disabled={day === '' || days.includes(day)}
              onClick={() => (setDays([...days, day].sort()), setDay(''))}
            >
              Add the day
            </button>
          </div>
          {days.length > 0 && <p className="reading">{days.join(', ')}</p>}
          <FormYesNo form={form} name="filterAhead" label="A filter ahead of the pump" />
          <FormYesNo form={form} name="sock" label="It is a petrol pump’s own sock" />
          <button type="submit" className="btn" data-action="screens-judge">
            When are they due?
          </button>
        </EntryForm>
      )}
    </section>
  );
}
