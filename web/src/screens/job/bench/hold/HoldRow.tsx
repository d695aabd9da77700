import { holdOf } from '@iron-cradle/core';
import { useJob } from '../../../../log/useJob.ts';
import { useWords } from '../../../../ui/Words.tsx';
import { BenchRow } from '../BenchRow.tsx';

/** How the whole tank stands before it goes up: held, or not yet; a touch opens the hold. */
export function HoldRow({ onHold }: { onHold: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const held = holdOf(state);
  const why = held?.verdict.reasons[0];
  const before = state.holds.at(-1)?.ended;
  return (
    <BenchRow
      id="hold"
      outcome={held?.verdict.outcome ?? 'unknown'}
      title="The tank, held before it goes up"
      text={
        why
          ? `${words(why.text)}${why.figure ? `, ${words(why.figure)}` : ''}`
          : before
            ? `held, but ${before}: hold it again`
            : 'a minute here against a second drop: plugged, aired, a little air in it'
      }
      onOpen={onHold}
    />
  );
}
