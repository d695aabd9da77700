import { gravestOf, owed } from '@iron-cradle/core';
import { useJob } from '../../../log/useJob.ts';
import { useWords } from '../../../ui/Words.tsx';
import { BenchRow } from '../bench/BenchRow.tsx';

/** How the wires stand: the pump’s circuit, the bond, what was cut on the way; a touch opens them. */
export function WiresRow({ onWires }: { onWires: () => void }) {
  const { state } = useJob();
  const words = useWords();
  const cuts = state.cuts.filter(({ what }) => what === 'wire').map(({ id }) => id);
  const debt = owed(state).find(({ id, key }) => cuts.includes(id) || key === 'wire' || key === 'bond');
  const word = gravestOf([...state.wires, ...state.bonds]);
  const why = word?.verdict.reasons[0];
  // Of a signed job only what was said.
  if (state.signed && !word && cuts.length === 0) return null;
  return (
    <BenchRow
      id="wires"
      outcome={debt ? 'bad' : (word?.verdict.outcome ?? 'unknown')}
      title="Wires and ground"
      text={
        debt
          ? words(debt.text)
          : why
            ? `${words(why.text)}${why.figure ? `, ${words(why.figure)}` : ''}`
            : 'volts lost on the way, the bond of the neck, what was cut'
      }
      onOpen={onWires}
    />
  );
}
