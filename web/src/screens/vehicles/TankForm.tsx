import { pumpOf, pumpsFor, pumpWord, type PumpKind, type VehicleFile } from '@iron-cradle/core';
import { useState } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { ShapeSheet } from '../job/drain/ShapeSheet.tsx';
import { RangeField } from './RangeField.tsx';
import { Select } from './Select.tsx';
import type { Draft } from './useDraft.ts';

/** The pump people call so. */
const pumpNamed = (word: string): PumpKind =>
  (Object.keys(pumpWord) as PumpKind[]).find((pump) => pumpWord[pump] === word) ?? 'unknown';

const whole = (text: string): number => Math.max(0, Math.round(Number(text) || 0));

/** The tank itself: what it holds and weighs, its shape, how far it goes down and how steep it may hang. */
export function TankForm({ draft }: { draft: Draft }) {
  const { file, change } = draft;
  const [shaping, setShaping] = useState(false);
  const number = (
    label: string,
    value: number,
    { put, step = 5 }: { put: (file: VehicleFile, n: number) => void; step?: number },
  ) => (
    <div>
      <label className="block text-quiet">
        {label}
        <input
          type="number"
          className="field reading"
          min={0}
          step={step}
          value={value}
          onChange={(event) => change((f) => put(f, whole(event.target.value)))}
        />
      </label>
    </div>
  );
  return (
    <div className="grid gap-4">
      <TextField
        label="What the shop calls it"
        value={file.name}
        error={file.name.trim() === '' ? 'Expected a name.' : undefined}
        onChange={(event) => change((f) => void (f.name = event.target.value))}
      />
      <div className="grid gap-3 mid:grid-cols-2">
        <TextField
          label="First end"
          value={file.ends[0]}
          onChange={(event) => change((f) => void (f.ends[0] = event.target.value))}
        />
        <TextField
          label="Second end"
          value={file.ends[1]}
          onChange={(event) => change((f) => void (f.ends[1] = event.target.value))}
        />
        {number('Length between the ends, mm', file.length, { put: (f, n) => (f.length = n) })}
        {number('Free below it, mm, in steps of 5', file.clear, { put: (f, n) => (f.clear = n) })}
        {number('Tilt let from end to end, mm', file.tiltLimit, { put: (f, n) => (f.tiltLimit = n) })}
        <Choice
          label="Tank of"
          value={file.tank.material}
          options={[
            { value: 'plastic', label: 'plastic' },
            { value: 'steel', label: 'steel' },
          ]}
          onChoose={(m) => change((f) => void (f.tank.material = m))}
        />
        <Select
          label="Filled with"
          value={file.fuel}
          options={['petrol', 'e85', 'ethanol', 'diesel', 'biodiesel'] as const}
          onChoose={(fuel) =>
            change((f) => Object.assign(f, { fuel, fuelSystem: { ...f.fuelSystem, pump: 'unknown' } }))
          }
        />
        <Select
          label="What pushes the fuel"
          value={pumpWord[pumpOf(file)]}
          options={[...pumpsFor(file), 'unknown' as const].map((pump) => pumpWord[pump])}
          onChoose={(word) => change((f) => void (f.fuelSystem = { ...f.fuelSystem, pump: pumpNamed(word) }))}
        />
        <RangeField
          label="Holds, L"
          dimension="volume"
          unit="L"
          range={file.tank.litres}
          onChange={(r) => change((f) => void (f.tank.litres = r))}
        />
        <RangeField
          label="Weighs empty, kg"
          dimension="mass"
          unit="kg"
          per={1}
          range={file.tank.emptyMass}
          onChange={(r) => change((f) => void (f.tank.emptyMass = r))}
        />
      </div>
      <button type="button" className="btn" onClick={() => setShaping(true)}>
        Shape of the tank: {file.tank.shape.kind}
      </button>
      <label className="block text-quiet">
        What the next one should know
        <textarea
          className="field min-h-28"
          value={file.notes.join('\n')}
          onChange={(event) =>
            change((f) => void (f.notes = event.target.value === '' ? [] : event.target.value.split('\n')))
          }
        />
      </label>
      {shaping && (
        <ShapeSheet
          vehicle={file}
          onClose={() => setShaping(false)}
          onKeep={({ shape, outlet, litres }) =>
            change((f) => {
              f.tank.shape = shape as VehicleFile['tank']['shape'];
              f.tank.outlet = outlet ?? null;
              if (litres) f.tank.litres = { lo: litres, typ: litres, hi: litres, basis: { kind: 'measured' } };
            })
          }
        />
      )}
    </div>
  );
}
