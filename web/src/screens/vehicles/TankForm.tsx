import { pumpOf, pumpsFor, pumpWord, type PumpKind, type VehicleFile } from '@iron-cradle/core';
import { useState } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { ShapeSheet } from '../job/drain/ShapeSheet.tsx';
import { FileFigure } from './FileFigure.tsx';
import { FileText } from './FileText.tsx';
import { RangeField } from './RangeField.tsx';
import { Select } from './Select.tsx';
import type { Draft } from './useDraft.ts';

/** The pump people call so. */
const pumpNamed = (word: string): PumpKind =>
  (Object.keys(pumpWord) as PumpKind[]).find((pump) => pumpWord[pump] === word) ?? 'unknown';

/** The tank itself: what it holds and weighs, its shape, how far it goes down and how steep it may hang. */
export function TankForm({ draft }: { draft: Draft }) {
  const { file, change } = draft;
  const [shaping, setShaping] = useState(false);
  return (
    <div className="grid gap-4">
      <FileText
        draft={draft}
        at="name"
        label="What the shop calls it"
        value={file.name}
        put={(f, text) => (f.name = text)}
      />
      <div className="grid gap-3 mid:grid-cols-2">
        {(['First end', 'Second end'] as const).map((label, i) => (
          <FileText
            key={label}
            draft={draft}
            at={`ends[${i}]`}
            label={label}
            value={file.ends[i]!}
            put={(f, text) => (f.ends[i] = text)}
          />
        ))}
        <FileFigure
          label="Length between the ends"
          value={file.length}
          error={draft.wrongAt('length')}
          onChange={(n) => change((f) => void (f.length = n))}
        />
        <FileFigure
          label="Free below it, in steps of 5"
          value={file.clear}
          error={draft.wrongAt('clear')}
          onChange={(n) => change((f) => void (f.clear = n))}
        />
        <FileFigure
          label="Tilt let from end to end"
          value={file.tiltLimit}
          error={draft.wrongAt('tiltLimit')}
          onChange={(n) => change((f) => void (f.tiltLimit = n))}
        />
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
