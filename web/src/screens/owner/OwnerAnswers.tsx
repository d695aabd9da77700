import { agreed, proposalWords, unanswered } from '@iron-cradle/core';
import { EntryForm } from '../../form/EntryForm.tsx';
import { useState } from 'react';
import { WhoAndHow } from '../../form/WhoAndHow.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { useJob } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { Choice } from '../../ui/Choice.tsx';

const answers = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
] as const;

/** What the owner said to each, who it was and how; what was agreed is ticked off once it is done. */
export function OwnerAnswers() {
  const { state, enter } = useJob();
  const [said, setSaid] = useState<Record<string, 'yes' | 'no'>>({});
  const form = useEntryForm({
    kind: 'ownerSaid',
    start: { yes: [], no: [], who: '', how: '' },
    onDone: () => setSaid({}),
  });
  const open = unanswered(state);
  const todo = agreed(state);
  const those = (answer: 'yes' | 'no') => open.filter(({ id }) => said[id] === answer).map(({ id }) => id);
  return (
    <>
      {open.length > 0 && (
        <EntryForm
          say={() => form.say({ yes: those('yes'), no: those('no') })}
          label="what the owner said"
          className="grid gap-4"
        >
          <h2 className="text-24">What the owner said</h2>
          {open.map((proposal) => (
            <div key={proposal.id} data-ask={proposal.id} className="grid gap-2">
              <Choice
                label={proposalWords(proposal)}
                value={said[proposal.id] ?? null}
                options={answers}
                onChoose={(value) => setSaid({ ...said, [proposal.id]: value })}
              />
              <button
                type="button"
                className="link min-h-11 justify-self-start"
                onClick={() => void enter('proposalClosed', { proposal: proposal.id, as: 'dropped' })}
              >
                take it off the list
              </button>
            </div>
          ))}
          <WhoAndHow form={form} />
          <Strap
            type="submit"
            data-action="owner-said"
            waitsFor={Object.keys(said).length === 0 ? 'tap yes or no first' : undefined}
          >
            Write it down
          </Strap>
        </EntryForm>
      )}
      {todo.length > 0 && (
        <section aria-label="agreed, to be done" className="grid gap-3">
          <h2 className="text-24">Agreed, to be done</h2>
          {todo.map((proposal) => (
            <div key={proposal.id} className="flex flex-wrap items-center gap-3">
              <span className="min-w-0 flex-1">{proposalWords(proposal)}</span>
              <button
                type="button"
                className="btn"
                data-done={proposal.id}
                onClick={() => void enter('proposalClosed', { proposal: proposal.id, as: 'done' })}
              >
                Done
              </button>
            </div>
          ))}
        </section>
      )}
    </>
  );
}
