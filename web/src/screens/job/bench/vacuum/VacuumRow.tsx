import { gravestFirst } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../../log/useJob.ts';
import { BenchRow } from '../BenchRow.tsx';
import { Sheet } from '../../../../ui/Sheet.tsx';
import { useWords } from '../../../../ui/Words.tsx';
import { Vacuum } from './Vacuum.tsx';

/** How valves and the lines that stay on the vehicle stand; a touch opens what is tried by vacuum. */
export function VacuumRow() {
  const { state } = useJob();
  const words = useWords();
  const [open, setOpen] = useState(false);
  const tried = [
    ...Object.entries(state.valves).flatMap(([name, list]) => list.map((one) => [name, one] as const)),
    ...Object.entries(state.vacuums).flatMap(([id, list]) =>
      list.map((one) => [state.vehicle.connections.find((line) => line.id === id)?.name ?? id, one] as const),
    ),
  ].map(([name, { verdict }]) => ({ name, verdict, outcome: verdict.outcome }));
  const [first] = gravestFirst(tried);
  return (
    <>
      <BenchRow
        id="vacuum"
        outcome={first?.outcome ?? 'unknown'}
        title="Valves and lines, by vacuum"
        text={
          first
            ? `${first.name}: ${words(first.verdict.reasons[0]?.text ?? '')}`
            : 'foot valve, check valves, the lines that stay on the vehicle'
        }
        onOpen={() => setOpen(true)}
      />
      <Sheet
        open={open}
        onClose={() => setOpen(false)}
        title="By vacuum"
        hint="Prove the tester before it says anything."
      >
        <Vacuum />
      </Sheet>
    </>
  );
}
