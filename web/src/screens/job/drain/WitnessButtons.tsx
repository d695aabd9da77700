import { witnessWord, type Estimate, type WitnessKind } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';

const asks: Partial<
  Record<
    WitnessKind,
    { dimension: 'length' | 'volume' | 'mass'; unit: string; label: string; factor: number; hint: string }
  >
> = {
  dip: {
    dimension: 'length',
    unit: 'mm',
    label: 'Wet length of the stick above the floor',
    factor: 1000,
    hint: 'wait 30 s after filling or draining before you dip',
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
};

/** Witnesses that can be asked here; each is one entry. */
export function WitnessButtons({ kinds }: { kinds: readonly WitnessKind[] }) {
  const { enter } = useJob();
  const [asking, setAsking] = useState<WitnessKind | null>(null);
  const [value, setValue] = useState<Estimate | null>(null);
  const ask = asking ? asks[asking] : undefined;
  const done = async () => {
    if (!asking || !ask || !value) return;
    await enter('fuelWitness', { witness: asking, reading: Math.round(value.typ * ask.factor * 100) / 100 });
    setAsking(null);
    setValue(null);
  };
  return (
    <div className="grid grid-cols-2 gap-3">
      {kinds.map((kind) => (
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
            <QuantityField label={ask.label} dimension={ask.dimension} unit={ask.unit} onRead={setValue} />
            <Strap onClick={() => void done()} waitsFor={value ? undefined : 'type a reading'}>
              Enter it
            </Strap>
          </>
        )}
      </Sheet>
    </div>
  );
}
