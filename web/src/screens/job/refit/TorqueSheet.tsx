import { judgeTorque, nameOf, splitKey, type Estimate } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Strap } from '../../../look/Strap.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

/** Torque as it was written, beside the file's range. */
export function TorqueSheet({ item, onClose }: { item: string | null; onClose: () => void }) {
  const { state, enter } = useJob();
  const [value, setValue] = useState<Estimate | null>(null);
  const [unit, setUnit] = useState<'N·m' | 'ft-lb'>('N·m');
  if (!item) return null;
  const support = state.vehicle.supports.find((s) => s.id === splitKey(item).id);
  const range = state.vehicle.fasteners.find((f) => f.id === support?.fastener)?.torque ?? null;
  const nm = (v: number) => Math.round(v * 10) / 10;
  const body = value
    ? {
        asWritten: `${nm(value.lo)}${value.hi > value.lo ? `–${nm(value.hi)}` : ''} N·m`,
        lo: nm(value.lo),
        hi: nm(value.hi),
      }
    : null;
  const enterIt = async (written: typeof body | { asWritten: string }) => {
    if (written) {
      if (!(await enter('torque', { key: item, ...written }))) return;
    }
    setValue(null);
    onClose();
  };
  return (
    <Sheet
      open
      onClose={onClose}
      title={`Torque of ${nameOf(state, item)}`}
      hint={
        range
          ? `The file says ${range.lo}–${range.hi} N·m.`
          : 'The file has no figure: read it in the service information for this vehicle.'
      }
    >
      <Choice
        label="A bare number counts as"
        value={unit}
        onChoose={setUnit}
        options={[
          { value: 'N·m', label: 'N·m' },
          { value: 'ft-lb', label: 'ft-lb' },
        ]}
      />
      <div className="pt-3">
        <QuantityField
          key={unit}
          label="As it was pulled"
          dimension="torque"
          unit={unit}
          onRead={setValue}
          hint="evenly in rounds, the last one by hand"
        />
      </div>
      {body && <VerdictView verdict={judgeTorque(body, range)} compact />}
      <div className="grid gap-3 pt-4">
        <Strap data-action="torque" onClick={() => void enterIt(body)} waitsFor={body ? undefined : 'type the torque'}>
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
