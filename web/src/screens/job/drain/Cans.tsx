import { roundTo, safeFillToday, type JobState } from '@iron-cradle/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { Can } from '../../../drawings/cans/Can.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

const SIZES = ['5', '10', '20', '60', '200'] as const;
type Size = (typeof SIZES)[number];

/** Litres that were counted elsewhere and go into a can. */
interface Counted {
  litres: number;
  turn: number;
}

/** Cans as they fill. None takes more than its safe fill; a can never mixes clean and suspect. */
export function Cans({ counted }: { counted: Counted | null }) {
  const { state } = useJob();
  const [open, setOpen] = useState(false);
  const [taken, setTaken] = useState(counted);
  const [size, setSize] = useState<Size>('20');
  if (counted && counted !== taken) {
    setTaken(counted);
    setOpen(true);
  }
  const most = mostIn(state);
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
      {open && <IntoCan counted={counted} size={size} onSize={setSize} onClose={() => setOpen(false)} />}
    </>
  );
}

/** Litres that a can may take today, by its size. */
const mostIn =
  (state: JobState) =>
  (capacity: number): number =>
    Math.floor(capacity * safeFillToday(state) * 10) / 10;

interface IntoCanProps {
  counted: Counted | null;
  size: Size;
  onSize: (size: Size) => void;
  onClose: () => void;
}

/** So many litres went into this can: it may take so much, and no other kind of fuel. */
function IntoCan({ counted, size, onSize, onClose }: IntoCanProps) {
  const { state } = useJob();
  const [clean, setClean] = useState<'clean' | 'suspect'>('clean');
  const form = useEntryForm({
    kind: 'container',
    start: counted ? { litres: counted.litres } : {},
    onDone: onClose,
  });
  const wanted = useWatch({ control: form.control, name: 'litres' }) as number | null | undefined;
  const most = mostIn(state);
  const capacity = Number(size);
  const last = state.containers.at(-1);
  const sameAgain =
    last && last.clean === (clean === 'clean') && last.capacity === capacity && last.litres < most(capacity) - 1;
  const number = sameAgain ? last.number : state.containers.length + 1;
  const room = Math.round((most(capacity) - (sameAgain ? last.litres : 0)) * 10) / 10;
  const problem =
    wanted === null || wanted === undefined || Number.isNaN(wanted)
      ? 'type the litres'
      : wanted <= 0
        ? 'more than nothing'
        : wanted > room
          ? `${room} L is all it may take: the rest goes into the next can`
          : undefined;
  return (
    <Sheet
      open
      onClose={onClose}
      title={`Can ${number}${sameAgain ? `, ${roundTo(last.litres, 0.1)} L in it` : ''}`}
      hint={`It may take ${room} L: filled further it is liquid-full on a hot day.`}
    >
      <div className="grid gap-4">
        <Choice
          label="Can of"
          value={size}
          onChoose={onSize}
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
        <FormQuantity
          form={form}
          name="litres"
          label="Litres that went in"
          dimension="volume"
          unit="L"
          step={0.1}
          hint="label it: product, date, vehicle, clean or suspect"
        />
        <Strap onClick={() => void form.say({ number, capacity, clean: clean === 'clean' })} waitsFor={problem}>
          Into can {number}
        </Strap>
      </div>
    </Sheet>
  );
}
