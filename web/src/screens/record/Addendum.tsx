import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { useEnter } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { Sheet } from '../../ui/Sheet.tsx';

/** After the signature nothing changes; something can be added under its own date. */
export function Addendum({ jobId, signed, onDone }: { jobId: string; signed: boolean; onDone: () => void }) {
  const [open, setOpen] = useState(false);
  const { enter, problem } = useEnter(jobId);
  const form = useEntryForm({
    kind: 'addendum',
    start: { text: '' },
    enter,
    onDone: () => {
      setOpen(false);
      setTimeout(onDone, 600);
    },
  });
  const text = useWatch({ control: form.control, name: 'text' }) as string | undefined;
  return (
    <>
      <button type="button" className="btn" disabled={!signed} onClick={() => setOpen(true)}>
        {signed ? 'Add an addendum' : 'Not signed yet'}
      </button>
      <Sheet
        open={open}
        onClose={() => setOpen(false)}
        title="Addendum"
        hint="It stands at the foot of the record, with your name and the time."
      >
        <label className="block text-quiet" htmlFor="addendum">
          What is to be added
        </label>
        <textarea id="addendum" className="field min-h-32" maxLength={2000} {...form.register('text')} />
        <p role="alert" className="min-h-6 font-semibold text-halt">
          {problem ?? ''}
        </p>
        <Strap onClick={() => void form.say()} waitsFor={text?.trim() ? undefined : 'write something'}>
          Add it
        </Strap>
      </Sheet>
    </>
  );
}
