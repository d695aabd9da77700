import { stepsOf } from '@iron-cradle/core';
import { doneOf } from './useBundle.ts';
import type { Descent } from './useDescent.ts';

/** The stop hand by hand, for whoever wants it said: marks, tools, how each fitting lets go, caps. */
export function StepByStep({ descent }: { descent: Descent }) {
  const { state, stop, tags, bundle } = descent;
  const steps = stepsOf(state, doneOf(stop, bundle), tags);
  if (steps.length === 0) return null;
  return (
    <details className="border-b border-rule py-1">
      <summary className="flex min-h-11 cursor-pointer items-center text-quiet">Step by step, {steps.length}</summary>
      <ol className="grid gap-2 pb-3" aria-label="step by step">
        {steps.map((step, i) => (
          <li key={i} className="flex gap-3">
            <span className="reading w-7 shrink-0 text-right text-quiet">{i + 1}</span>
            <span>
              {step.caution && <span className="block font-semibold text-look">{step.caution}</span>}
              {step.text}
              {step.tools.length > 0 && <span className="text-quiet"> · {step.tools.join(', ')}</span>}
            </span>
          </li>
        ))}
      </ol>
    </details>
  );
}
