import { leftInWords } from '@iron-cradle/core';
import { Hourglass } from 'lucide-react';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { useNow } from '../../../ui/useNow.ts';
import { RestSheet } from './RestSheet.tsx';

/** Waits that run, with what is left of them; a touch opens what the job waits for. */
export function RestKey() {
  const { state } = useJob();
  const now = useNow(15_000);
  const [open, setOpen] = useState(false);
  const rests = state.parked !== null && !state.signed;
  const first = state.waits.find((w) => !w.ended);
  return (
    <>
      <button
        type="button"
        className={`flex h-11 min-w-11 shrink-0 items-center justify-center gap-2 ${rests ? 'bg-ink px-3 font-semibold text-ground' : 'text-quiet'}`}
        data-action="rest"
        data-parked={rests || undefined}
        aria-label={
          rests
            ? `rests outside: ${state.parked}`
            : first
              ? `waits: ${first.what}, ${leftInWords(first, now)}`
              : 'waits and rest'
        }
        onClick={() => setOpen(true)}
      >
        <Hourglass size={20} aria-hidden />
        {rests && <span>rests</span>}
        {first && !rests && (
          <span className="hidden min-[430px]:inline">
            {first.what}, <span className="reading text-ink">{leftInWords(first, now)}</span>
          </span>
        )}
      </button>
      <RestSheet open={open} onClose={() => setOpen(false)} />
    </>
  );
}
