import { holdOf } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { useWords } from '../../../ui/Words.tsx';
import { BenchRow } from '../bench/BenchRow.tsx';

/** How the whole tank stands before it goes up: held, or not yet; a touch opens the hold. */
export function HoldRow({ where, onHold }: { where: 'bench' | 'home'; onHold: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const held = holdOf(state, where);
  const why = held?.verdict.reasons[0];
  const before = state.holds.findLast((one) => one.where === where)?.ended;
  return (
    <BenchRow
      id="hold"
      outcome={held?.verdict.outcome ?? 'unknown'}
      title={where === 'home' ? 'Held at home, shut off' : 'The tank, held before it goes back'}
      text={
        why
          ? `${words(why.text)}${why.figure ? `, ${words(why.figure)}` : ''}`
          : before
            ? `held, but ${before}: hold it again`
            : where === 'home'
              ? 'a little air in it, or vacuum: proves filler, breather, vents and ring without a full tank'
              : 'a minute here against a second drop: plugged, aired, a little air in it'
      }
      onOpen={onHold}
    />
  );
}
