import {
  BEFORE_DIPPING,
  InputError,
  roundTo,
  witnessLitres,
  witnessWord,
  type Dimension,
  type InstrumentKind,
  type JobState,
  type WitnessKind,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { LiveReading } from '../../../ui/LiveReading.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

interface Ask {
  dimension: Dimension;
  /** Unit of the log, and the one a bare number takes where that is another. */
  unit: string;
  shown?: string;
  label: string;
  hint: string;
  /** The instrument that reads it, with the factor from its unit to the log’s. */
  from?: { kind: InstrumentKind; channel: string; factor: number };
}

const asks: Partial<Record<WitnessKind, Ask>> = {
  dip: {
    dimension: 'length',
    unit: 'mm',
    label: 'Wet length of the stick above the floor',
    hint: `wait ${BEFORE_DIPPING.seconds} s after filling or draining before you dip`,
  },
  levelSeen: {
    dimension: 'length',
    unit: 'mm',
    label: 'Level above the floor of the tank',
    hint: 'cold light only',
  },
  sinceEmpty: {
    dimension: 'volume',
    unit: 'L',
    label: 'Litres put in since it was empty',
    hint: 'the driver or a receipt may know',
  },
  weight: {
    dimension: 'mass',
    unit: 'kg',
    label: 'Tank with what is in it',
    hint: 'with a scale under what carries it',
    from: { kind: 'scale', channel: 'mass', factor: 1 },
  },
  ohms: {
    dimension: 'resistance',
    unit: 'Ω',
    label: 'Ohms across the sender, plug off',
    hint: 'through the sender’s curve to a height, through the shape to litres',
    from: { kind: 'multimeter', channel: 'senderOhms', factor: 1 },
  },
  scan: {
    dimension: 'share',
    unit: 'part',
    shown: '%',
    label: 'Level on the scan tool',
    hint: 'it reads the same sender as the gauge: the two are one witness',
    from: { kind: 'scanTool', channel: 'level', factor: 0.01 },
  },
};

const words: Record<WitnessKind, string> = {
  ...witnessWord,
  dip: 'Dip it',
  levelSeen: 'Level seen',
  sinceEmpty: 'Put in since empty',
  weight: 'Weigh it',
  plugDry: 'Plug open, dry',
  ranDry: 'Ran dry',
  gauge: 'Gauge',
  scan: 'Scan tool',
  ohms: 'Ohms',
};

/** Witnesses that can be asked here; each is one entry. */
export function WitnessButtons({ kinds }: { kinds: readonly WitnessKind[] }) {
  const { state, enter } = useJob();
  const [asking, setAsking] = useState<WitnessKind | null>(null);
  const ask = asking ? asks[asking] : undefined;
  const close = () => setAsking(null);
  const can = kinds.filter((kind) => kind !== 'ohms' || state.vehicle.sender !== null);
  return (
    <div className="grid grid-cols-2 gap-3">
      {can.map((kind) => (
        <button
          key={kind}
          type="button"
          className="btn"
          data-witness={kind}
          onClick={() => (asks[kind] ? setAsking(kind) : void enter('fuelWitness', { witness: kind }))}
        >
          {words[kind]}
        </button>
      ))}
      <Sheet
        open={asking !== null}
        onClose={close}
        title={asking ? words[asking] : ''}
        {...(ask ? { hint: ask.hint } : {})}
      >
        {asking && ask && <Read kind={asking} ask={ask} onDone={close} />}
      </Sheet>
    </div>
  );
}

/** One witness that reads something: off its instrument, or typed. */
function Read({ kind, ask, onDone }: { kind: WitnessKind; ask: Ask; onDone: () => void }) {
  const { state } = useJob();
  const form = useEntryForm({ kind: 'fuelWitness', start: { witness: kind }, onDone });
  const value = useWatch({ control: form.control, name: 'reading' }) as number | null | undefined;
  const { from } = ask;
  return (
    <>
      {from && (
        <LiveReading
          {...from}
          take="Take it"
          onTake={(r) => void form.say({ reading: roundTo(r.value! * from.factor, 0.001) })}
        />
      )}
      <FormQuantity
        form={form}
        name="reading"
        label={ask.label}
        dimension={ask.dimension}
        unit={ask.unit}
        {...(ask.shown ? { shown: ask.shown } : {})}
      />
      <Strap onClick={() => void form.say()} waitsFor={wrongWith(state, kind, value)}>
        Enter it
      </Strap>
    </>
  );
}

/** A reading the core would not take as a witness is refused here, in its own words, and stays typed. */
function wrongWith(state: JobState, kind: WitnessKind, value: number | null | undefined): string | undefined {
  if (value === null || value === undefined || Number.isNaN(value)) return 'type a reading';
  try {
    witnessLitres(state.vehicle, kind, value);
    return undefined;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return `expected ${error.expected}`;
  }
}
