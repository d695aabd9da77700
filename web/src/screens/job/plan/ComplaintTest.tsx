import { complaintOf } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { TextField } from '../../../ui/TextField.tsx';

/** The test that shows the complaint, recorded before the work: the same test is run again at the end. */
export function ComplaintTest({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state, enter } = useJob();
  const [words, setWords] = useState('');
  const test = complaintOf(state.complaint);
  const record = async (result: 'shown' | 'notShown' | 'notRun') => {
    if (!(await enter('complaintTest', { test: test.test, result, ...(words.trim() ? { words: words.trim() } : {}) })))
      return;
    onClose();
  };
  return (
    <Sheet
      open={open}
      onClose={onClose}
      title="The complaint’s own test"
      hint={`${test.test}; ${test.minutes} min. The job is cured only when this same test passes at the end.`}
    >
      <TextField
        label="What it read, in your words (may stay empty)"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        maxLength={400}
      />
      <div className="grid gap-3 pt-4 mid:grid-cols-3">
        <button type="button" className="btn min-h-18" onClick={() => void record('shown')}>
          Shows the complaint
        </button>
        <button type="button" className="btn min-h-18" onClick={() => void record('notShown')}>
          Does not show it
        </button>
        <button type="button" className="btn min-h-18" onClick={() => void record('notRun')}>
          Not run
        </button>
      </div>
      <p className="pt-4 text-quiet">If it does not show, look elsewhere first: the tank may not be the cause.</p>
    </Sheet>
  );
}
