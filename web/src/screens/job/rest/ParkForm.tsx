import { FormText } from '../../../form/FormText.tsx';
import { EntryForm } from '../../../form/EntryForm.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';

/** The job rests outside until something happens; what it waits for is the usual reason. */
export function ParkForm({ waitsFor, onDone }: { waitsFor: string | undefined; onDone: () => void }) {
  const { state, enter } = useJob();
  const first = state.waits.findLast(({ ended }) => !ended)?.what ?? '';
  const form = useEntryForm({ kind: 'parked', start: { reason: first }, onDone });
  if (state.parked !== null)
    return (
      <div className="grid gap-3">
        <p>
          It rests: <span className="font-semibold">{state.parked}</span>.
        </p>
        <Strap data-action="take-up" onClick={() => void enter('parked', {}).then((stands) => stands && onDone())}>
          Take it up again
        </Strap>
      </div>
    );
  return (
    <EntryForm say={() => form.say()}>
      <FormText form={form} name="reason" label="It rests until" maxLength={200} expected="until what it rests" />
      <Strap type="submit" data-action="park" waitsFor={waitsFor}>
        It rests outside
      </Strap>
    </EntryForm>
  );
}
