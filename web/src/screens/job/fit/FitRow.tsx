import { compareList, judgeFit } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { Fit } from './Fit.tsx';

/** Whether what goes in fits, in one row; a touch lays new on old. */
export function FitRow() {
  const { state } = useJob();
  const words = useWords();
  const [open, setOpen] = useState(false);
  const { verdict, begun } = judgeFit(state);
  if (compareList(state).length === 0 && !begun) return null;
  return (
    <>
      <button
        type="button"
        className="mt-6 flex w-full items-center gap-3 border-t-2 border-ink py-3 text-left"
        data-action="fit-row"
        data-outcome={verdict.outcome}
        onClick={() => setOpen(true)}
      >
        <Shape outcome={verdict.outcome} size={28} />
        <span className="min-w-0 flex-1 leading-tight">
          <span className="narrow block text-24">What goes in, laid on the old one</span>
          <span className="block text-quiet">{words(verdict.reasons[0]?.text ?? '')}</span>
        </span>
      </button>
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
