import { siUnit } from '@iron-cradle/core';
import { useState } from 'react';
import { useMainUnit } from '../../../../app/units.ts';
import { QuantityField } from '../../../../ui/QuantityField.tsx';

/** What the gauge shows now, typed; the moment it is written down is its time. */
export function TypedReading({ onPressure }: { onPressure: (pascals: number) => void }) {
  const unit = useMainUnit() === 'us' ? 'inH2O' : 'kPa';
  const [read, setRead] = useState<number | null>(null);
  const [turn, setTurn] = useState(0);
  return (
    <form
      noValidate
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (read === null) return;
        onPressure(read);
        setRead(null);
        setTurn((n) => n + 1);
      }}
    >
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
