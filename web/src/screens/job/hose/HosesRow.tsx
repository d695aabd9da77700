import { rubbersOf, saidOf } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { useWords } from '../../../ui/Words.tsx';
import { BenchRow } from '../bench/BenchRow.tsx';

/** How the rubber stands from tank to engine; a touch opens it. */
export function HosesRow({ onHoses }: { onHoses: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const rubbers = rubbersOf(state.vehicle);
  const said = rubbers.flatMap(({ key, name }) =>
    saidOf(state, key)
      .slice(0, 1)
      .map(({ verdict }) => ({ name, verdict })),
  );
  const bad = said.find(({ verdict }) => verdict.outcome === 'bad');
  const open = rubbers.length - said.length;
  return (
    <BenchRow
      id="hoses"
      outcome={
        bad
          ? 'bad'
          : open > 0
            ? 'unknown'
            : (said.find(({ verdict }) => verdict.outcome !== 'good')?.verdict.outcome ?? 'good')
      }
      title="Hoses and clamps"
      text={
        bad
          ? `${bad.name}: ${words(bad.verdict.reasons[0]?.text ?? '')}`
          : open > 0
            ? `${open} of ${rubbers.length} rubbers from tank to engine nobody looked at`
            : 'every rubber from tank to engine looked at'
      }
      onOpen={onHoses}
    />
  );
}
