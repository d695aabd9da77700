import { InputError, poseInWords, tapeAt, TAPE, tapeAtHome, type Pose } from '@iron-cradle/core';
import { useState } from 'react';
import { useUnits } from '../../../app/units.ts';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

/** What a tape reads from the floor up to each end: read once, known at every height. */
export function TapeSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { state, answer } = useJob();
  const units = useUnits();
  const [read, setRead] = useState<Partial<Record<keyof Pose, number>>>({});
  const [problem, setProblem] = useState('');
  const { ends } = state.vehicle;
  const now = tapeAt(state, state.pose);
  const keep = async () => {
    try {
      const home = (['f', 'r'] as const).flatMap((end) =>
        read[end] === undefined ? [] : [{ end, mm: tapeAtHome(state, end, read[end]) }],
      );
      for (const { end, mm } of home) {
        if (!(await answer(TAPE, mm, end))) return;
      }
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return setProblem(`Expected ${error.expected}.`);
    }
    setRead({});
    setProblem('');
    onClose();
  };
  return (
    <Sheet
      open={open}
      onClose={onClose}
      title="What does the tape read?"
      hint={`From the floor up to the tank, as it hangs now: ${poseInWords(state.pose, ends, units)}. Read it anew when the lift or the stands moved; on its wheels the body rises 5 to 15 mm as the weight goes.`}
    >
      <div className="grid gap-3 pt-3">
        {(['f', 'r'] as const).map((end, i) => (
          <QuantityField
            key={end}
            label={`Tape, ${ends[i]} end`}
            dimension="length"
            unit={units === 'us' ? 'in' : 'mm'}
            decimals={0}
            hint={now[end] === null ? '612, 61.2 cm, 24 1/8 in' : `it should read ${now[end]} mm`}
            onRead={(v) => setRead(({ [end]: _, ...rest }) => (v ? { ...rest, [end]: v.typ * 1000 } : rest))}
          />
        ))}
        <p role="alert" className="min-h-6 font-semibold text-halt">
          {problem}
        </p>
        <Strap
          data-action="tape-keep"
          onClick={() => void keep()}
          waitsFor={Object.keys(read).length > 0 ? undefined : 'type what it reads at one end'}
        >
          Keep the reading
        </Strap>
      </div>
    </Sheet>
  );
}
