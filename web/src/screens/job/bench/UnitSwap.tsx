import { unitOf } from '@iron-cradle/core';
import { useState } from 'react';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Swap } from './Swap.tsx';
import { THE_OLD } from './theOld.ts';

/** A whole new unit for all that came out; of it only seal, index and ring are asked, and what the job is about. */
export function UnitSwap() {
  const { state, enter } = useJob();
  const [open, setOpen] = useState(false);
  const form = useEntryForm({ kind: 'unitSwapped', start: { with: '' }, onDone: () => setOpen(false) });
  const lists = unitOf(state.vehicle).parts.map(({ id }) => state.pieces[id] ?? []);
  // Only where the last thing that was done to every part was the unit as a whole.
  const whole = lists.every((list) => list.at(-1)?.whole);
  const before = lists[0]?.at(-2);
  return (
    <Swap
      form={form}
      open={open}
      onOpen={() => setOpen(true)}
      action="fit-unit"
      label="A whole new unit goes in"
      main={false}
      before={whole && before ? (before.called ?? THE_OLD) : null}
      onAgain={() => void enter('unitSwapped', { with: before?.called ?? THE_OLD, again: true })}
    />
  );
}
