import { siUnit } from '@iron-cradle/core';
import { useState } from 'react';
import { useMainUnit } from '../../../app/units.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';

interface TypedReadingProps {
  /** Which way it was begun; null: nothing was read yet. */
  vacuum: boolean | null;
  onPressure: (pascals: number) => void;
}

/** What the gauge shows now, over the air or under it, typed; the moment it is written down is its time. */
export function TypedReading({ vacuum, onPressure }: TypedReadingProps) {
  const unit = useMainUnit() === 'us' ? 'inH2O' : 'kPa';
  const [read, setRead] = useState<number | null>(null);
  const [turn, setTurn] = useState(0);
  const [chosen, setChosen] = useState(false);
  const under = vacuum ?? chosen;
  return (
    <form
      noValidate
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (read === null) return;
        onPressure(under ? -read : read);
        setRead(null);
        setTurn((n) => n + 1);
      }}
    >
      {vacuum === null && (
        <Choice
          label="Pumped"
          value={under ? 'down' : 'up'}
          onChoose={(way) => setChosen(way === 'down')}
          options={[
            { value: 'up', label: 'Up: pressure' },
            { value: 'down', label: 'Down: vacuum' },
          ]}
        />
      )}
      <QuantityField
        key={turn}
        label="The gauge shows"
        dimension="pressure"
        unit={unit}
        decimals={2}
        initial=""
        onRead={(value) => setRead(value ? siUnit(value.typ, 'pressure', 'Pa') : null)}
      />
      <button type="submit" className="btn" data-action="hold-reading">
        Now
      </button>
    </form>
  );
}
