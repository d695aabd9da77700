import {
  checkTank,
  exactly,
  InputError,
  noTilt,
  shapeLitres,
  type Bodies,
  type Estimate,
  type TankShape,
  type VehicleFile,
} from '@iron-cradle/core';
import { useId, useState } from 'react';
import { TankSection } from '../../../drawings/tank/TankSection.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { FileText } from '../../../ui/FileText.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { useSize } from '../../../ui/useSize.ts';
import { emptyForm, fieldsOf, shapeOf, type Kind, type ShapeForm } from './shapeForm.ts';

const kinds: { value: Kind; label: string }[] = [
  { value: 'box', label: 'Box, sump' },
  { value: 'cylinder', label: 'Cylinder' },
  { value: 'lobes', label: 'Two lobes' },
  { value: 'profile', label: 'Side profile' },
  { value: 'table', label: 'Level table' },
];

interface ShapeSheetProps {
  vehicle: VehicleFile;
  onClose: () => void;
  onKeep: (body: Bodies['tankShape']) => Promise<void> | void;
}

/** The shape as somebody measures it; drawn while it is typed, checked where it is wrong, nothing typed is lost. */
export function ShapeSheet({ vehicle, onClose, onKeep }: ShapeSheetProps) {
  const [form, setForm] = useState<ShapeForm>(() => emptyForm(vehicle.tank.shape));
  const [outlet, setOutlet] = useState<Record<string, number>>(() =>
    vehicle.tank.outlet ? { ...vehicle.tank.outlet } : {},
  );
  const [box, size] = useSize<HTMLDivElement>();
  const put = (id: string) => (value: Estimate | null) =>
    setForm((old) => {
      const { [id]: _, ...rest } = old.mm;
      return { ...old, mm: value ? { ...rest, [id]: Math.round(value.typ * 1000) } : rest };
    });
  const { shape, at, problem } = read(form, outlet);
  const drawn: VehicleFile | null = shape && { ...vehicle, tank: { ...vehicle.tank, shape, outlet: at } };
  const keep = async () => {
    if (!shape) return;
    await onKeep({
      shape,
      ...(at ? { outlet: at } : {}),
      ...(form.litres ? { litres: form.litres } : {}),
    });
    onClose();
  };
  return (
    <Sheet open onClose={onClose} title="Shape of the tank" hint="It decides what a level means and what stays behind.">
      <Choice
        label=""
        value={form.kind}
        columns="grid-cols-2 mid:grid-cols-5"
        options={kinds}
        onChoose={(kind) => setForm({ ...form, kind, text: kind === form.kind ? form.text : '' })}
      />
      <div ref={box} className="min-h-40 overflow-hidden pt-3">
        {drawn && size.width > 0 && (
          <TankSection
            vehicle={drawn}
            aboard={exactly(vehicle.tank.litres.typ * 0.4)}
            tilt={noTilt}
            width={size.width}
          />
        )}
        {shape && (
          <p className="text-quiet">
            By its measures <span className="reading text-ink">{Math.round(shapeLitres(shape))} L</span>; the file says{' '}
            {vehicle.tank.litres.lo === vehicle.tank.litres.hi
              ? vehicle.tank.litres.lo
              : `${vehicle.tank.litres.lo}–${vehicle.tank.litres.hi}`}{' '}
            L. Drawn with four tenths in it.
          </p>
        )}
      </div>
      <div className="grid gap-x-4 mid:grid-cols-2" key={form.kind}>
        {fieldsOf[form.kind].map(([field, label]) => {
          const id = field.replace('?', '');
          return (
            <QuantityField
              key={id}
              label={label}
              dimension="length"
              unit="mm"
              decimals={0}
              {...(form.mm[id] === undefined ? {} : { initial: String(form.mm[id]) })}
              onRead={put(id)}
            />
          );
        })}
      </div>
      {form.kind === 'lobes' && (
        <Choice
          label="The lobes lie"
          value={form.over}
          onChoose={(over) => setForm({ ...form, over })}
          options={[
            { value: 'x', label: `${vehicle.ends[0]} and ${vehicle.ends[1]}` },
            { value: 'y', label: 'near and far side' },
          ]}
        />
      )}
      {(form.kind === 'profile' || form.kind === 'table') && (
        <TextRows form={form} onText={(text) => setForm({ ...form, text })} />
      )}
      <h3 className="pt-4 text-20">Where the pick-up takes fuel</h3>
      <div className="grid gap-x-4 mid:grid-cols-3">
        {(['x', 'y', 'z'] as const).map((axis) => (
          <QuantityField
            key={axis}
            label={{ x: `From the ${vehicle.ends[0]} end`, y: 'From the near side', z: 'Above the lowest point' }[axis]}
            dimension="length"
            unit="mm"
            decimals={0}
            {...(outlet[axis] === undefined ? {} : { initial: String(outlet[axis]) })}
            onRead={(v) =>
              setOutlet((old) => {
                const { [axis]: _, ...rest } = old;
                return v ? { ...rest, [axis]: Math.round(v.typ * 1000) } : rest;
              })
            }
          />
        ))}
      </div>
      <QuantityField
        label="What it holds, if it is known better"
        dimension="volume"
        unit="L"
        onRead={(v) => setForm((old) => ({ ...old, litres: v ? Math.round(v.typ * 10_000) / 10 : null }))}
      />
      <Strap onClick={() => void keep()} waitsFor={problem ?? undefined} data-action="keep-shape">
        Keep this shape
      </Strap>
    </Sheet>
  );
}

function TextRows({ form, onText }: { form: ShapeForm; onText: (text: string) => void }) {
  const id = useId();
  const table = form.kind === 'table';
  return (
    <div className="grid gap-3 pt-2">
      <div>
        <label htmlFor={id} className="block text-quiet">
          {table
            ? 'Level and litres, one row a line (CSV: comma, semicolon or tab; a heading may name mm, cm, in, gal)'
            : 'Points in order around, along and up in mm, one a line'}
        </label>
        <textarea
          id={id}
          className="field reading min-h-40"
          value={form.text}
          placeholder={table ? 'mm,litres\n0,0\n100,24.5' : '0, 0\n900, 0\n900, 220\n0, 240'}
          onChange={(event) => onText(event.target.value)}
        />
      </div>
      {table && (
        <FileText accept=".csv,text/csv,text/plain" onText={onText}>
          From a CSV file
        </FileText>
      )}
    </div>
  );
}

function read(
  form: ShapeForm,
  outlet: Record<string, number>,
): { shape: TankShape | null; at: { x: number; y: number; z: number } | null; problem: string | null } {
  let shape: TankShape | null = null;
  try {
    shape = shapeOf(form);
    const { x, y, z } = outlet;
    if (x === undefined && y === undefined && z === undefined) return { shape, at: null, problem: null };
    if (x === undefined || y === undefined || z === undefined)
      return { shape, at: null, problem: 'the pick-up needs all three, or none' };
    checkTank({ shape, outlet: { x, y, z } });
    return { shape, at: { x, y, z }, problem: null };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { shape, at: null, problem: `${error.field.replace('tank.shape.', '')}: expected ${error.expected}` };
  }
}
