import { entryInWords, type JobState } from '@iron-cradle/core';
import { useState } from 'react';
import { useUnits } from '../../app/units.ts';
import { FormText } from '../../form/FormText.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { useEnter, useJobView } from '../../log/useJob.ts';
import { Strap } from '../../look/Strap.tsx';
import { Shape } from '../../look/Shapes.tsx';
import { useMe, useNames } from '../../net/queries.ts';
import { Sheet } from '../../ui/Sheet.tsx';

/**
 * A signed job: what came in late, made without knowing the signature, waits for the lead: it stands beside the record, or
 * the job is opened again and it takes effect. The lead may open it for another reason too.
 */
export function Late({ jobId, state, onDone }: { jobId: string; state: JobState; onDone: () => void }) {
  const me = useMe().data?.person;
  const name = useNames();
  const units = useUnits();
  const { log } = useJobView(jobId);
  const { enter, problem } = useEnter(jobId);
  const [opening, setOpening] = useState(false);
  const waiting = state.late.filter((entry) => !entry.stands);
  const done = () => setTimeout(onDone, 600);
  const form = useEntryForm({
    kind: 'reopened',
    start: { reason: '' },
    enter,
    onDone: () => {
      setOpening(false);
      done();
    },
  });
  if (!state.signed) return null;
  const lead = me?.role === 'lead';
  if (waiting.length === 0 && !lead) return null;
  return (
    <section
      aria-label="after the signature"
      className="no-print mx-auto max-w-[51.5rem] px-4 pb-4"
      data-late={waiting.length}
    >
      {waiting.length > 0 && (
        <>
          <h2 className="flex items-center gap-2 text-20">
            <Shape outcome="doubtful" size={20} /> Made without knowing the signature
          </h2>
          <ul className="ruled">
            {waiting.map(({ id, by, kind }) => {
              const entry = log.find((e) => e.id === id);
              return (
                <li key={id} className="py-2">
                  {entry ? entryInWords(state, entry, units) : kind} <span className="text-quiet">({name(by)})</span>
                </li>
              );
            })}
          </ul>
          {!lead && <p className="text-quiet">It changes nothing that was signed. The lead decides about it.</p>}
        </>
      )}
      {lead && (
        <div className="grid gap-3 pt-2 mid:grid-cols-2">
          {waiting.length > 0 && (
            <button
              type="button"
              className="btn"
              data-action="stands"
              onClick={() =>
                void enter('settled', { key: 'late', entries: waiting.map((entry) => entry.id) }).then(done)
              }
            >
              Let it stand beside the record
            </button>
          )}
          <button type="button" className="btn" data-action="reopen" onClick={() => setOpening(true)}>
            Open the job again
          </button>
        </div>
      )}
      {problem && (
        <p role="alert" className="font-semibold text-halt">
          {problem}
        </p>
      )}
      <Sheet
        open={opening}
        onClose={() => setOpening(false)}
        title="Open the job again"
        hint="What came late takes effect. It has to be signed anew; the first signature stays on the record."
      >
        <div className="grid gap-3">
          <FormText form={form} name="reason" label="Why" maxLength={300} expected="a reason in a few words" />
          <Strap onClick={() => void form.say()}>Open it again</Strap>
        </div>
      </Sheet>
    </section>
  );
}
