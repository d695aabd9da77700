import { buildSteps, judgeBuilt, unitOf } from '@iron-cradle/core';
import { PartShape } from '../../../drawings/unit/PartShape.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Paint, Shape } from '../../../look/Shapes.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { HandPanel } from './HandPanel.tsx';

/** The unit goes together from below: the lowest step first, each ticked singly where it is drawn. */
export function BuildPanel({ onDone }: { onDone: () => void }) {
  const { state, enter } = useJob();
  const steps = buildSteps(state);
  const parts = unitOf(state.vehicle).parts;
  const done = new Set(state.built.map(({ step }) => step));
  const next = steps.find(({ id }) => !done.has(id))?.id;
  const verdict = judgeBuilt(state);
  return (
    <HandPanel
      id="build"
      title="Built up from below"
      hint="One by one, the lowest first: tap it as it sits."
      onDone={onDone}
    >
      {verdict && (
        <div data-built={verdict.outcome}>
          <VerdictView verdict={verdict} />
        </div>
      )}
      <ol className="flex flex-col-reverse" aria-label="steps from below">
        {steps.map(({ id, text }) => {
          const kind = parts.find((part) => part.id === id)?.kind;
          return (
            <li key={id}>
              <button
                type="button"
                className="flex w-full items-center gap-3 text-left"
                aria-pressed={done.has(id)}
                data-build={id}
                disabled={state.signed !== null}
                onClick={() => void enter('built', { step: id })}
              >
                <span className="relative block h-16 w-24 shrink-0">
                  {kind ? <PartShape kind={kind} /> : <Groove />}
                  {id === next && !state.signed && <Paint className="absolute bottom-0 left-0" width={40} />}
                </span>
                <Shape outcome={done.has(id) ? 'good' : 'unknown'} size={24} label={done.has(id) ? 'done' : 'to do'} />
                <span className="min-w-0 flex-1 leading-tight">{text}</span>
              </button>
            </li>
          );
        })}
      </ol>
    </HandPanel>
  );
}

const Groove = () => (
  <svg viewBox="0 0 200 96" className="block h-full w-full" aria-hidden>
    <ellipse cx="100" cy="48" rx="78" ry="20" fill="none" stroke="var(--ink)" strokeWidth="12" />
    <ellipse cx="100" cy="48" rx="78" ry="20" fill="none" stroke="var(--sheet)" strokeWidth="6" />
  </svg>
);
