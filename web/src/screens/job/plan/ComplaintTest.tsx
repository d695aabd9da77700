import { complaintOf } from '@iron-cradle/core';
import { FormText } from '../../../form/FormText.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Sheet } from '../../../ui/Sheet.tsx';

/** The test that shows the complaint, recorded before the work: the same test is run again at the end. */
export function ComplaintTest({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state } = useJob();
  const test = complaintOf(state.complaint);
  const form = useEntryForm({ kind: 'complaintTest', start: { test: test.test, words: '' }, onDone: onClose });
  return (
    <Sheet
      open={open}
      onClose={onClose}
      title="The complaint’s own test"
      hint={`${test.test}; ${test.minutes} min. The job is cured only when this same test passes at the end.`}
    >
      <FormText form={form} name="words" label="What it read, in your words (may stay empty)" maxLength={400} />
      <div className="grid gap-3 pt-4 mid:grid-cols-3">
        <button type="button" className="btn min-h-18" onClick={() => void form.say({ result: 'shown' })}>
          Shows the complaint
        </button>
        <button type="button" className="btn min-h-18" onClick={() => void form.say({ result: 'notShown' })}>
          Does not show it
        </button>
        <button type="button" className="btn min-h-18" onClick={() => void form.say({ result: 'notRun' })}>
          Not run
        </button>
      </div>
      <p className="pt-4 text-quiet">If it does not show, look elsewhere first: the tank may not be the cause.</p>
    </Sheet>
  );
}
