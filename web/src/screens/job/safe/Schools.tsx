import {
  answerTo,
  isSealed,
  PUMP,
  PUMP_RUNS,
  pumpOf,
  pumpsFor,
  pumpWord,
  SCHOOL,
  SEALED,
  schoolsFor,
  type School,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { capital } from '../../../ui/capital.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

/** How the pressure comes out: one way chosen, its steps in order; the others a tap away. */
export function Schools() {
  const { state, answer } = useJob();
  const [open, setOpen] = useState(false);
  const schools = schoolsFor(state);
  const chosen = schools.find((s) => s.id === answerTo(state, SCHOOL));
  const choose = async (school: School) => {
    if (!(await answer(SCHOOL, school.id))) return;
    setOpen(false);
  };
  return (
    <section aria-label="how the pressure comes out" className="pb-4">
      {chosen ? (
        <>
          <div className="flex items-baseline justify-between gap-3 border-b-2 border-ink pb-1">
            <h3 className="text-20">{chosen.name}</h3>
            <span className="reading shrink-0">{chosen.minutes} min</span>
          </div>
          <ol className="py-2">
            {chosen.steps.map((step, i) => (
              <li key={step} className="flex gap-3 py-1">
                <span className="reading w-5 shrink-0 text-right text-quiet">{i + 1}</span>
                {step}
              </li>
            ))}
          </ol>
          <p className="text-quiet">
            {capital(chosen.order)}. {capital(chosen.cautions[0]!)}. What counts: {chosen.proof.words}.
          </p>
        </>
      ) : (
        <p>How does the pressure come out of this one? Each way has its own order against the battery.</p>
      )}
      {pumpOf(state.vehicle) === 'unknown' && !state.signed && (
        <div className="pt-3" data-asks="pump">
          <PumpChoices />
        </div>
      )}
      {!state.signed && (
        <button type="button" className="btn mt-3 w-full" data-action="schools" onClick={() => setOpen(true)}>
          {chosen ? 'Another way' : 'Choose how it comes out'}
        </button>
      )}
      <Sheet open={open} onClose={() => setOpen(false)} title="How the pressure comes out">
        <PumpChoices />
        <Choice
          label="Is the tank sealed, under pressure by design?"
          value={answerTo(state, SEALED) ?? (isSealed(state.vehicle) ? 'yes' : null)}
          onChoose={(value) => void answer(SEALED, value)}
          options={[
            { value: 'yes', label: 'Sealed' },
            { value: 'no', label: 'Not sealed' },
          ]}
        />
        <ul className="ruled mt-4 border-y border-rule">
          {schools.map((school) => (
            <li key={school.id}>
              <button
                type="button"
                data-school={school.id}
                className="flex min-h-18 w-full items-center gap-3 py-2 text-left"
                disabled={school.cannot !== null}
                onClick={() => void choose(school)}
              >
                <Shape outcome={school.cannot ? 'bad' : 'good'} size={20} />
                <span className="min-w-0 flex-1 leading-tight">
                  <span className="narrow block text-20">{school.name}</span>
                  <span className="text-quiet">{school.cannot ?? school.order}</span>
                </span>
                <span className="reading shrink-0">{school.minutes} min</span>
              </button>
            </li>
          ))}
        </ul>
        <p className="pt-3 text-quiet">{schools[0]!.cautions.at(-1)}</p>
      </Sheet>
    </section>
  );
}

/** What pushes the fuel decides what hurts; a pump that is complained of is weak, or dead. */
function PumpChoices() {
  const { state, answer } = useJob();
  const pump = pumpOf(state.vehicle);
  return (
    <div className="grid gap-3 pb-3">
      <Choice
        label="What pushes the fuel?"
        value={pump === 'unknown' ? null : pump}
        onChoose={(value) => void answer(PUMP, value)}
        options={pumpsFor(state.vehicle).map((value) => ({ value, label: pumpWord[value] }))}
      />
      {state.complaint === 'pump' && (
        <Choice
          label="Does its pump still run?"
          value={answerTo(state, PUMP_RUNS) ?? null}
          onChoose={(value) => void answer(PUMP_RUNS, value)}
          options={[
            { value: 'yes', label: 'It runs, weakly' },
            { value: 'no', label: 'It is dead' },
          ]}
        />
      )}
    </div>
  );
}
