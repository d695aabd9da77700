import { useState } from 'react';
import { useEnter } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { Sheet } from '../../ui/Sheet.tsx';

/** After the signature nothing changes; something can be added under its own date. */
export function Addendum({ jobId, signed, onDone }: { jobId: string; signed: boolean; onDone: () => void }) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const { enter, problem } = useEnter(jobId);
  const add = async () => {
    if (!(await enter('addendum', { text: text.trim() }))) return;
    setText('');
    setOpen(false);
    setTimeout(onDone, 600);
  };
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
        <textarea
          id="addendum"
          className="field min-h-32"
          value={text}
          maxLength={2000}
          onChange={(event) => setText(event.target.value)}
        />
        <p role="alert" className="min-h-6 font-semibold text-halt">
          {problem ?? ''}
        </p>
        <Strap onClick={() => void add()} waitsFor={text.trim() ? undefined : 'write something'}>
          Add it
        </Strap>
      </Sheet>
    </>
  );
}
