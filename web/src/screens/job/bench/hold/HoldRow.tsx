import { holdOf } from '@iron-cradle/core';
import { useJob } from '../../../../log/useJob.ts';
import { Shape } from '../../../../look/Shapes.tsx';
import { useWords } from '../../../../ui/Words.tsx';

/** How the whole tank stands before it goes up: held, or not yet; a touch opens the hold. */
export function HoldRow({ onHold }: { onHold: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const held = holdOf(state);
  const why = held?.verdict.reasons[0];
  const before = state.holds.at(-1)?.ended;
  return (
    <button
      type="button"
      className="flex w-full items-center gap-3 border-y-2 border-ink py-3 text-left"
      data-action="hold"
      data-outcome={held?.verdict.outcome ?? 'unknown'}
      onClick={onHold}
    >
      <Shape outcome={held?.verdict.outcome ?? 'unknown'} size={28} />
      <span className="min-w-0 flex-1 leading-tight">
        <span className="narrow block text-24">The tank, held before it goes up</span>
        <span className="block text-quiet">
          {why
            ? `${words(why.text)}${why.figure ? `, ${words(why.figure)}` : ''}`
            : before
              ? `held, but ${before}: hold it again`
              : 'a minute here against a second drop: plugged, aired, a little air in it'}
        </span>
      </span>
    </button>
  );
}
