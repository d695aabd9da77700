import { nameOf, type Debt } from '@iron-cradle/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useJob } from '../../../log/useJob.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { TextField } from '../../../ui/TextField.tsx';
import { DeviationForm } from '../DeviationForm.tsx';
import { useWords } from '../../../ui/Words.tsx';

/** One thing that is owed: where to do it, an inspection, or a deviation with its reason. */
export function OwedSheet({ debt, onClose }: { debt: Debt | null; onClose: () => void }) {
  const { state, jobId, enter } = useJob();
  const say = useWords();
  const [words, setWords] = useState('');
  if (!debt) return null;
  const pulled = debt.id.startsWith('pull:');
  const gate = debt.key.startsWith('gate:') ? debt.key.slice(5) : null;
  const station = gate
    ? { 1: 'safe', 2: 'drain', 3: 'bench', 4: 'refit' }[gate]
    : debt.key === 'pose'
      ? 'refit'
      : debt.key === 'complaintTest'
        ? 'plan'
        : null;
  const inspect = (outcome: 'good' | 'doubtful' | 'bad') =>
    enter('inspected', { key: debt.key, outcome, ...(words.trim() ? { words: words.trim() } : {}) }).then(onClose);
  return (
    <Sheet open onClose={onClose} title={say(debt.text)}>
      {station && (
        <Link to={`/jobs/${jobId}/${station}`} className="btn mb-4 w-full">
          Go there
        </Link>
      )}
      {pulled && (
        <div className="grid gap-3 pb-5">
          <p>
            Inspect {nameOf(state, debt.key)} along its whole length: stretched, kinked, cracked at its ends, tab or
            bead harmed?
          </p>
          <TextField
            label="What you saw (may stay empty)"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          <div className="grid grid-cols-3 gap-3">
            <button type="button" className="btn" onClick={() => void inspect('good')}>
              Sound
            </button>
            <button type="button" className="btn" onClick={() => void inspect('doubtful')}>
              Doubtful
            </button>
            <button type="button" className="btn" onClick={() => void inspect('bad')}>
              Bad
            </button>
          </div>
          <button
            type="button"
            className="btn"
            onClick={() =>
              void enter('replaced', { key: debt.key, ...(words.trim() ? { words: words.trim() } : {}) }).then(onClose)
            }
          >
            It was replaced by a new one
          </button>
        </div>
      )}
      {debt.key.startsWith('cut:') && (
        <div className="grid gap-3 pb-5">
          <TextField
            label="What went in for it: grade, length, size"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          <button
            type="button"
            className="btn"
            data-action="made-good"
            disabled={words.trim() === ''}
            onClick={() => void enter('replaced', { key: debt.key, words: words.trim() }).then(onClose)}
          >
            {words.trim() === '' ? 'Say what went in' : 'It is made good'}
          </button>
        </div>
      )}
      {debt.key === 'identity' || debt.key === 'fill' ? (
        <p className="pb-4 text-quiet">It stands on this page, further up.</p>
      ) : null}
      <h3 className="pb-2 text-20">Or sign it all the same, as a deviation</h3>
      <DeviationForm debt={debt} onDone={onClose} />
    </Sheet>
  );
}
