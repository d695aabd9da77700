import {
  judgeTorque,
  nameOf,
  newtonMetres,
  pulledBefore,
  roundsTo,
  say,
  splitKey,
  withLubricant,
  type Estimate,
  type Snug,
} from '@iron-cradle/core';
import { useState } from 'react';
import { Rounds } from '../../../drawings/rounds/Rounds.tsx';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { Before } from '../../../ui/Before.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { BoltBeside, type Bolt } from './torque/BoltBeside.tsx';
import { Seated, type Sits } from './torque/Seated.tsx';
import { SnugList } from './torque/SnugList.tsx';

/** Torque as it was written, beside the file's range: in rounds, one tap a round; without a figure, no number but snug and even. */
export function TorqueSheet({ item, onClose }: { item: string | null; onClose: () => void }) {
  return item ? <Torque key={item} item={item} onClose={onClose} /> : null;
}

function Torque({ item, onClose }: { item: string; onClose: () => void }) {
  const { state, enter } = useJob();
  const [value, setValue] = useState<Estimate | null>(null);
  const [unit, setUnit] = useState<'N·m' | 'ft-lb'>('N·m');
  const [rounds, setRounds] = useState(0);
  const [snug, setSnug] = useState<Snug[]>([]);
  const [bolt, setBolt] = useState<Bolt>({});
  const [sits, setSits] = useState<Sits>({});
  const support = state.vehicle.supports.find((s) => s.id === splitKey(item).id);
  const fastener = state.vehicle.fasteners.find((f) => f.id === support?.fastener);
  const range = fastener?.torque ?? null;
  const words = useWords();
  const nm = (v: number) => Math.round(v * 10) / 10;
  const wanted = range ? (bolt.lubricant ? withLubricant(range.typ, 'dry', bolt.lubricant) : range.typ) : null;
  const steps = wanted === null ? [] : roundsTo(wanted);
  // The last round was tapped and nothing else is typed: it was drawn to that.
  const drawn =
    value ?? (steps.length > 0 && rounds === steps.length ? { lo: steps.at(-1)!, hi: steps.at(-1)! } : null);
  const written = drawn
    ? {
        asWritten: `${nm(drawn.lo)}${drawn.hi > drawn.lo ? `–${nm(drawn.hi)}` : ''} N·m`,
        lo: nm(drawn.lo),
        hi: nm(drawn.hi),
        ...bolt,
        ...sits,
        ...(rounds > 0 ? { rounds } : {}),
      }
    : snug.length > 0 && !range
      ? { asWritten: 'snug, no figure', snug, ...sits }
      : null;
  const enterIt = async (body: typeof written | { asWritten: string }) => {
    if (body && !(await enter('torque', { key: item, ...body }))) return;
    onClose();
  };
  return (
    <Sheet
      open
      onClose={onClose}
      title={`Torque of ${nameOf(state, item)}`}
      hint={
        range
          ? `${words(say`The file says ${newtonMetres(range.lo, range.hi)}`)}.`
          : 'The file has no figure: read it in the service information for this vehicle. Without one no number counts: what the bolt pulls on gives way long before it.'
      }
    >
      {fastener && <Before was={pulledBefore(state.vehicle, fastener.id)} />}
      {support && <Seated sits={sits} strap={support.kind === 'strap'} onSits={setSits} />}
      {wanted === null ? (
        <SnugList ticked={snug} onTick={setSnug} />
      ) : (
        <Rounds
          count={Math.max(1, Math.min(12, fastener?.count ?? 2))}
          rounds={steps}
          done={rounds}
          onRound={setRounds}
        />
      )}
      <div className="grid gap-3 pt-4">
        <Choice
          label="A bare number counts as"
          value={unit}
          onChoose={setUnit}
          options={[
            { value: 'N·m', label: 'N·m' },
            { value: 'ft-lb', label: 'ft-lb' },
          ]}
        />
        <QuantityField
          key={unit}
          label="As it was pulled"
          dimension="torque"
          unit={unit}
          onRead={setValue}
          hint={range ? 'evenly in rounds, the last one by hand' : 'only if a figure was found'}
        />
        <BoltBeside bolt={bolt} torque={value?.typ ?? wanted} onBolt={setBolt} />
      </div>
      {written && <VerdictView verdict={judgeTorque(written, range)} compact />}
      <div className="grid gap-3 pt-4">
        <Strap
          data-action="torque"
          onClick={() => void enterIt(written)}
          waitsFor={written ? undefined : range ? 'its rounds, or the torque' : 'tick what you saw to'}
        >
          Write it down
        </Strap>
        <button
          type="button"
          className="btn"
          data-action="torque-none"
          onClick={() => void enterIt({ asWritten: 'not measured' })}
        >
          Not measured
        </button>
      </div>
    </Sheet>
  );
}
