import { exactly, roundTo, safeFillToday, type Estimate } from '@iron-cradle/core';
import { useState } from 'react';
import { Can } from '../../../drawings/cans/Can.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

const SIZES = ['5', '10', '20', '60', '200'] as const;

/** Cans as they fill. None takes more than its safe fill; a can never mixes clean and suspect. */
export function Cans({ counted }: { counted: { litres: number; turn: number } | null }) {
  const { state, enter } = useJob();
  const [open, setOpen] = useState(false);
  const [size, setSize] = useState<(typeof SIZES)[number]>('20');
  const [clean, setClean] = useState<'clean' | 'suspect'>('clean');
  const [litres, setLitres] = useState<Estimate | null>(null);
  const [taken, setTaken] = useState(counted);
  if (counted && counted !== taken) {
    setTaken(counted);
    setLitres(exactly(counted.litres / 1000));
    setOpen(true);
  }
  const most = (capacity: number) => Math.floor(capacity * safeFillToday(state) * 10) / 10;
  const last = state.containers.at(-1);
  const sameAgain =
    last &&
    last.clean === (clean === 'clean') &&
    last.capacity === Number(size) &&
    last.litres < most(last.capacity) - 1;
  const number = sameAgain ? last.number : state.containers.length + 1;
  const room = Math.round((most(Number(size)) - (sameAgain ? last.litres : 0)) * 10) / 10;
  const wanted = litres ? Math.round(litres.typ * 10_000) / 10 : 0;
  const problem = !litres
    ? 'type the litres'
    : wanted <= 0
      ? 'more than nothing'
      : wanted > room
        ? `${room} L is all it may take: the rest goes into the next can`
        : undefined;
  const put = async () => {
    if (!(await enter('container', { number, capacity: Number(size), litres: wanted, clean: clean === 'clean' })))
      return;
    setOpen(false);
    setLitres(null);
  };
  return (
    <>
      <div className="flex gap-4 overflow-x-auto pb-2" tabIndex={0} role="region" aria-label="cans">
        {state.containers.map((can, i) => (
          <Can
            key={can.number}
            {...can}
            fill={most(can.capacity)}
            filling={i === state.containers.length - 1 && !state.gates[2].passed}
          />
        ))}
        <Can number={state.containers.length + 1} litres={0} capacity={Number(size)} fill={most(Number(size))} clean />
      </div>
      <button type="button" className="btn w-full" data-action="fill-can" onClick={() => setOpen(true)}>
        Litres into a can
      </button>
      <Sheet
        open={open}
        onClose={() => setOpen(false)}
        title={`Can ${number}${sameAgain ? `, ${roundTo(last.litres, 0.1)} L in it` : ''}`}
        hint={`It may take ${room} L: filled further it is liquid-full on a hot day.`}
      >
        <div className="grid gap-4">
          <Choice
            label="Can of"
            value={size}
            onChoose={setSize}
            columns="grid-cols-5"
            options={SIZES.map((s) => ({ value: s, label: `${s} L` }))}
          />
          <Choice
            label="What it is"
            value={clean}
            onChoose={setClean}
            options={[
              { value: 'clean', label: 'Clean' },
              { value: 'suspect', label: 'Suspect' },
            ]}
          />
          <QuantityField
            label="Litres that went in"
            key={counted?.turn ?? 0}
            {...(counted ? { initial: String(counted.litres) } : {})}
            dimension="volume"
            unit="L"
            onRead={setLitres}
            hint="label it: product, date, vehicle, clean or suspect"
          />
          <Strap onClick={() => void put()} waitsFor={problem}>
            Into can {number}
          </Strap>
        </div>
      </Sheet>
    </>
  );
}
