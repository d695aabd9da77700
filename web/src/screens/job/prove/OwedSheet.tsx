import { nameOf, type Debt, type JobState } from '@iron-cradle/core';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { FormText } from '../../../form/FormText.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { DeviationForm } from '../DeviationForm.tsx';
import { useWords } from '../../../ui/Words.tsx';

/** What is done further up on this page. */
const HERE = ['identity', 'fill', 'cans', 'complaint', 'start', 'codes', 'refill'];

/** Where a debt is paid; null: on this page, or nowhere but in its sheet. */
function placeOf({ id, key }: Debt, { cuts, holds }: JobState): string | null {
  if (key.startsWith('gate:')) return { 1: 'safe', 2: 'drain', 3: 'bench', 4: 'refit' }[key.slice(5)] ?? null;
  // A wire is made good by joining it, not by saying what went in.
  if (key === 'wire' || key === 'bond' || cuts.some((cut) => cut.id === id && cut.what === 'wire'))
    return 'prove?wires';
  if (key === 'hold')
    return holds.find((held) => id === `hold:${held.id}`)?.where === 'home' ? 'prove?hold' : 'bench?hold';
  return { pose: 'refit', complaintTest: 'plan', seal: 'bench' }[key] ?? null;
}

/** One thing that is owed: where to do it, an inspection, or a deviation with its reason. */
export function OwedSheet({ debt, onClose }: { debt: Debt | null; onClose: () => void }) {
  const { jobId, state } = useJob();
  const say = useWords();
  if (!debt) return null;
  const place = placeOf(debt, state);
  return (
    <Sheet open onClose={onClose} title={say(debt.text)}>
      {place && (
        <Link to={`/jobs/${jobId}/${place}`} className="btn mb-4 w-full" data-action="go-there" onClick={onClose}>
          Go there
        </Link>
      )}
      {debt.id.startsWith('pull:') && <Inspected about={debt.key} onDone={onClose} />}
      {debt.key.startsWith('cut:') && !place && <MadeGood about={debt.key} onDone={onClose} />}
      {(HERE.includes(debt.key) || debt.key.startsWith('joint:')) && (
        <p className="pb-4 text-quiet">It stands on this page, further up.</p>
      )}
      <h3 className="pb-2 text-20">Or sign it all the same, as a deviation</h3>
      <DeviationForm debt={debt} onDone={onClose} />
    </Sheet>
  );
}

interface AboutProps {
  about: string;
  onDone: () => void;
}

/** A line that was pulled: what its inspection showed, or the new one that went in. */
function Inspected({ about, onDone }: AboutProps) {
  const { state, enter } = useJob();
  const form = useEntryForm({ kind: 'inspected', start: { key: about, words: '' }, onDone });
  const replaced = async () => {
    const words = form.getValues('words')?.trim();
    if (await enter('replaced', { key: about, ...(words ? { words } : {}) })) onDone();
  };
  return (
    <div className="grid gap-3 pb-5">
      <p>
        Inspect {nameOf(state, about)} along its whole length: stretched, kinked, cracked at its ends, tab or bead
        harmed?
      </p>
      <FormText form={form} name="words" label="What you saw (may stay empty)" maxLength={300} />
      <div className="grid grid-cols-3 gap-3">
        <button type="button" className="btn" onClick={() => void form.say({ outcome: 'good' })}>
          Sound
        </button>
        <button type="button" className="btn" onClick={() => void form.say({ outcome: 'doubtful' })}>
          Doubtful
        </button>
        <button type="button" className="btn" onClick={() => void form.say({ outcome: 'bad' })}>
          Bad
        </button>
      </div>
      <button type="button" className="btn" onClick={() => void replaced()}>
        It was replaced by a new one
      </button>
    </div>
  );
}

/** Something that was cut: what went in for it. */
function MadeGood({ about, onDone }: AboutProps) {
  const form = useEntryForm({ kind: 'replaced', start: { key: about, words: '' }, onDone });
  const words = useWatch({ control: form.control, name: 'words' }) as string | undefined;
  const empty = !words?.trim();
  return (
    <div className="grid gap-3 pb-5">
      <FormText form={form} name="words" label="What went in for it: grade, length, size" maxLength={300} />
      <button type="button" className="btn" data-action="made-good" disabled={empty} onClick={() => void form.say()}>
        {empty ? 'Say what went in' : 'It is made good'}
      </button>
    </div>
  );
}
