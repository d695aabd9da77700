import { FormChoice } from '../../form/FormChoice.tsx';
import { EntryForm } from '../../form/EntryForm.tsx';
import { WhoAndHow } from '../../form/WhoAndHow.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';

const answers = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'call', label: 'Call first' },
] as const;

/** What the owner said, who it was and how: an entry of the log. */
export function Approval() {
  const form = useEntryForm({ kind: 'approval', start: { who: '', how: '' } });
  return (
    <EntryForm say={() => form.say()} label="what the owner said" className="no-print grid gap-4 p-5 mid:p-9">
      <h2 className="text-24">What the owner said</h2>
      <FormChoice
        form={form}
        name="answer"
        label=""
        columns="grid-cols-3"
        options={answers}
        expected="yes, no, or call first"
      />
      <WhoAndHow form={form} />
      <button type="submit" className="btn" data-action="approval">
        Write it down
      </button>
    </EntryForm>
  );
}
