import { kilograms, litres, SLACK, witnessWord, type CallQuestion } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { useWords } from '../../../ui/Words.tsx';
import { WitnessButtons } from '../drain/WitnessButtons.tsx';
import { StringSheet } from './StringSheet.tsx';

type Put = Extract<CallQuestion['answer'], { question: string }>;

/** At most three questions, each with what it decides and what is at stake; each can be left. */
export function Questions({ questions }: { questions: readonly CallQuestion[] }) {
  const { state, answer, enter } = useJob();
  const words = useWords();
  const [measured, setMeasured] = useState<string | null>(null);
  const put = ({ question, of }: Put, value: string) =>
    void enter('answer', { question, value, ...(of === null ? {} : { of }) });
  return (
    <section aria-label="ask the vehicle">
      <h2 className="text-20">Ask the vehicle</h2>
      <p className="border-b-2 border-ink pb-2 text-quiet">
        {questions.length > 0 ? 'Only what changes the call.' : 'Nothing left to ask that would change the call.'}
      </p>
      {questions.map((q) => (
        <div key={q.id} className="border-b-2 border-ink pb-4 pt-3" data-question={q.id}>
          <div className="flex items-baseline justify-between gap-3">
            <h3 className="text-20">{words(q.text)}</h3>
            <span className="reading shrink-0">
              {'minutes' in q.stake ? `${q.stake.minutes} min` : words([kilograms(q.stake.kilograms)])}
            </span>
          </div>
          <p className="pb-3 leading-tight text-quiet">{words(q.decides)}</p>
          {'question' in q.answer ? (
            <div className={`grid gap-3 ${q.id.startsWith('slack ') ? 'grid-cols-2' : 'grid-cols-3'}`}>
              {q.id.startsWith('slack ') && (
                <button type="button" className="btn" data-action="string" onClick={() => setMeasured(q.id.slice(6))}>
                  Measure it
                </button>
              )}
              {q.answer.choices.map((choice) => (
                <button
                  key={choice.value}
                  type="button"
                  className="btn"
                  onClick={() => 'question' in q.answer && put(q.answer, choice.value)}
                >
                  {choice.label}
                </button>
              ))}
            </div>
          ) : (
            <WitnessButtons kinds={['dip', 'sinceEmpty']} />
          )}
        </div>
      ))}
      <ul className="ruled py-2" aria-label="witnesses of the fuel">
        {state.fuel.steps.map((step) => (
          <li key={step.id} className="flex justify-between gap-3 py-2">
            <span>
              {witnessWord[step.kind]}
              {step.ignored && <span className="text-quiet">, does not count: {step.ignored}</span>}
            </span>
            <span className="reading shrink-0">{words([litres(step.said.lo, step.said.hi)])}</span>
          </li>
        ))}
      </ul>
      {!questions.some((q) => 'witness' in q.answer) && (
        <WitnessButtons kinds={['dip', 'sinceEmpty', 'ohms', 'scan']} />
      )}
      {measured && (
        <StringSheet
          line={state.vehicle.connections.find((c) => c.id === measured)?.name ?? measured}
          onClose={() => setMeasured(null)}
          onKeep={async (mm) => void (await answer<number | 'short' | 'long' | 'hidden'>(SLACK, mm, measured))}
        />
      )}
    </section>
  );
}
