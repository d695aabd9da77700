import { complaintOf, testedSince } from '@iron-cradle/core';
import { FormText } from '../../../form/FormText.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';

const results = [
  { value: 'passed', label: 'Passed' },
  { value: 'unchanged', label: 'Unchanged' },
  { value: 'worse', label: 'Worse' },
] as const;

/** The same test that showed the complaint. */
export function Again() {
  const { state } = useJob();
  const form = useEntryForm({ kind: 'complaintAgain', start: { words: '' } });
  const { complaintTest: before, complaintAgain: again } = state;
  const answers = testedSince(state);
  return (
    <section aria-label="the complaint’s own test again">
      <h2 className="text-24">The complaint’s own test again</h2>
      <p className="text-quiet">
        {before?.test ?? complaintOf(state.complaint).test}
        {before?.words ? `; before: ${before.words}` : ''}
      </p>
      {again && (
        <p className="narrow pt-2 text-20">
          {again.result}
          {again.words ? `: ${again.words}` : ''}
          {!answers && (
            <span className="block font-normal text-quiet">before something was opened again: run it anew</span>
          )}
        </p>
      )}
      {!state.signed && (
        <>
          <div className="pt-2">
            <FormText form={form} name="words" label="What it reads now (may stay empty)" maxLength={400} />
          </div>
          <div className="flex flex-wrap gap-3 pt-3">
            {results.map((r) => (
              <button
                key={r.value}
                type="button"
                className="btn flex-1"
                data-again={r.value}
                aria-pressed={answers && again?.result === r.value}
                onClick={() => void form.say({ result: r.value })}
              >
                {r.label}
              </button>
            ))}
          </div>
        </>
      )}
    </section>
  );
}
