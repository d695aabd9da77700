import { compareList, judgeFit } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Sheet } from '../../../ui/Sheet.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { BenchRow } from '../bench/BenchRow.tsx';
import { Fit } from './Fit.tsx';

/** Whether what goes in fits; a touch lays new on old. */
export function FitRow() {
  const { state } = useJob();
  const words = useWords();
  const [open, setOpen] = useState(false);
  const { verdict, begun } = judgeFit(state);
  if (compareList(state).length === 0 && !begun) return null;
  return (
    <>
      <BenchRow
        id="fit-row"
        outcome={verdict.outcome}
        title="What goes in, laid on the old one"
        text={words(verdict.reasons[0]?.text ?? '')}
        onOpen={() => setOpen(true)}
      />
      <Sheet
        open={open}
        onClose={() => setOpen(false)}
        title="New laid on old"
        hint="As it arrives, before the old one is opened."
      >
        <Fit />
      </Sheet>
    </>
  );
}
