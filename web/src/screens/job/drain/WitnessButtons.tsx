import {
  BEFORE_DIPPING,
  InputError,
  witnessLitres,
  witnessWord,
  type Dimension,
  type Estimate,
  type InstrumentKind,
  type WitnessKind,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { LiveReading } from '../../../ui/LiveReading.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

interface Ask {
  dimension: Dimension;
  unit: string;
  label: string;
  factor: number;
  hint: string;
  /** The instrument that reads it, with the factor from its unit to the log’s. */
  from?: { kind: InstrumentKind; channel: string; factor: number };
}

const asks: Partial<Record<WitnessKind, Ask>> = {
  dip: {
    dimension: 'length',
    unit: 'mm',
    label: 'Wet length of the stick above the floor',
    factor: 1000,
    hint: `wait ${BEFORE_DIPPING.seconds} s after filling or draining before you dip`,
  },
  levelSeen: {
    dimension: 'length',
    unit: 'mm',
    label: 'Level above the floor of the tank',
    factor: 1000,
    hint: 'cold light only',
  },
  sinceEmpty: {
    dimension: 'volume',
    unit: 'L',
    label: 'Litres put in since it was empty',
    factor: 1000,
    hint: 'the driver or a receipt may know',
  },
  weight: {
    dimension: 'mass',
    unit: 'kg',
    label: 'Tank with what is in it',
    factor: 1,
    hint: 'on the jack with a scale',
    from: { kind: 'scale', channel: 'mass', factor: 1 },
  },
  ohms: {
    dimension: 'resistance',
    unit: 'Ω',
    label: 'Ohms across the sender, plug off',
    factor: 1,
    hint: 'through the sender’s curve to a height, through the shape to litres',
    from: { kind: 'multimeter', channel: 'senderOhms', factor: 1 },
  },
  scan: {
    dimension: 'share',
    unit: '%',
    label: 'Level on the scan tool',
    factor: 1,
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

/** A reading the core would not take as a witness is refused here, in its own words, and stays typed. */
function useWrong(kind: WitnessKind | null) {
  const { state } = useJob();
  return (value: Estimate | null, ask: Ask): string | undefined => {
    if (!value || !kind) return 'type a reading';
    try {
      witnessLitres(state.vehicle, kind, value.typ * ask.factor);
      return undefined;
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return `expected ${error.expected}`;
    }
  };
}

/** Witnesses that can be asked here; each is one entry. */
export function WitnessButtons({ kinds }: { kinds: readonly WitnessKind[] }) {
  const { state, enter } = useJob();
  const [asking, setAsking] = useState<WitnessKind | null>(null);
  const [value, setValue] = useState<Estimate | null>(null);
  const wrongWith = useWrong(asking);
  const ask = asking ? asks[asking] : undefined;
  const done = async (reading: number) => {
    if (!asking) return;
    if (!(await enter('fuelWitness', { witness: asking, reading: Math.round(reading * 1000) / 1000 }))) return;
    setAsking(null);
    setValue(null);
  };
  const problem = ask ? wrongWith(value, ask) : undefined;
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
        onClose={() => setAsking(null)}
        title={asking ? words[asking] : ''}
        {...(ask ? { hint: ask.hint } : {})}
      >
        {ask && (
          <>
            {ask.from && (
              <LiveReading {...ask.from} take="Take it" onTake={(r) => void done(r.value! * ask.from!.factor)} />
            )}
            <QuantityField label={ask.label} dimension={ask.dimension} unit={ask.unit} onRead={setValue} />
            <Strap onClick={() => void done(value!.typ * ask.factor)} waitsFor={problem}>
              Enter it
            </Strap>
          </>
        )}
      </Sheet>
    </div>
  );
}
