import { mountings, type VehicleFile } from '@iron-cradle/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { TopBar } from '../../app/TopBar.tsx';
import { Chassis } from '../../drawings/chassis/Chassis.tsx';
import { call } from '../../net/api.ts';
import { useVehicles } from '../../net/queries.ts';
import { useQueryClient } from '@tanstack/react-query';
import { Sheet } from '../../ui/Sheet.tsx';
import { freshId, idOf } from './fresh.ts';

const burns = [
  { fuel: 'petrol', label: 'Petrol' },
  { fuel: 'e85', label: 'E85' },
  { fuel: 'diesel', label: 'Diesel' },
] as const;

/** The vehicles the shop knows, and the seven mountings a new one begins from. */
export default function VehiclesScreen() {
  const vehicles = useVehicles();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const [begun, setBegun] = useState<VehicleFile | null>(null);
  const all = vehicles.data ?? [];
  const own = all.filter((v) => !v.id.startsWith('archetype-'));
  const keep = async (file: VehicleFile) => {
    try {
      await call('PUT', `/vehicles/${file.id}`, { body: file });
      await client.invalidateQueries({ queryKey: ['vehicles'] });
      void navigate(`/vehicles/${file.id}`);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const copy = (from: VehicleFile) => {
    const id = freshId(
      'vehicle',
      all.map((v) => v.id),
    );
    void keep({ ...structuredClone(from), id, name: `New vehicle, like ${from.name}`.slice(0, 80) });
  };
  const read = async (given: File | undefined) => {
    setProblem(null);
    if (!given) return;
    try {
      const file = JSON.parse(await given.text()) as VehicleFile;
      const taken = all.some((v) => v.id === file.id);
      await keep(
        taken
          ? {
              ...file,
              id: freshId(
                idOf(file.name ?? 'vehicle'),
                all.map((v) => v.id),
              ),
            }
          : file,
      );
    } catch {
      setProblem(`${given.name}: expected a vehicle file, JSON of the published schema.`);
    }
  };
  return (
    <>
      <TopBar title="Vehicles" hint="what the shop knows" to="/" />
      <main className="mx-auto max-w-5xl p-4 pb-10 mid:p-9">
        <h1 className="pb-4 text-32">What the shop knows</h1>
        {problem && (
          <p role="alert" className="pb-3 font-semibold text-halt">
            {problem}
          </p>
        )}
        {own.length === 0 && (
          <p className="pb-4 text-quiet">None yet. Begin one below, or let a signed job teach one.</p>
        )}
        <ul className="ruled border-y border-rule">
          {own.map((file) => (
            <Row key={file.id} file={file} onCopy={() => copy(file)} />
          ))}
        </ul>
        <h2 className="pb-3 pt-8 text-24">Begin a new one from what you see</h2>
        <div className="grid grid-cols-3 gap-3 mid:grid-cols-4 wide:grid-cols-8">
          {all
            .filter((v) => v.id.startsWith('archetype-'))
            .map((file) => (
              <button
                key={file.id}
                type="button"
                className="flex flex-col items-center border border-edge p-2 text-center"
                data-begin={file.id.replace('archetype-', '')}
                onClick={() => setBegun(file)}
              >
                <Chassis mounting={file.mounting} height={112} />
                <span className="narrow text-16">{file.name}</span>
              </button>
            ))}
        </div>
        <Sheet open={begun !== null} onClose={() => setBegun(null)} title="What does it burn?">
          <p className="pb-3 text-quiet">
            Draining, kilograms and labels follow it. What pushes the fuel is asked for where it decides something.
          </p>
          <div className="grid gap-3 mid:grid-cols-3">
            {burns.map(({ fuel, label }) => (
              <button
                key={fuel}
                type="button"
                className="btn"
                data-burns={fuel}
                onClick={() => begun && copy({ ...begun, fuel, fuelSystem: { pump: 'unknown' } })}
              >
                {label}
              </button>
            ))}
          </div>
        </Sheet>
        <Link to="/threads" className="btn mt-8 w-full" data-action="threads">
          Which thread is it?
        </Link>
        <label className="btn mt-3 w-full cursor-pointer">
          Read a vehicle file
          <input
            type="file"
            accept="application/json,.json"
            className="sr-only"
            onChange={(event) => void read(event.target.files?.[0])}
          />
        </label>
      </main>
    </>
  );
}

function Row({ file, onCopy }: { file: VehicleFile; onCopy: () => void }) {
  const known = file.connections.filter((c) => (c.slack.basis?.kind ?? file.basis) !== 'typical').length;
  return (
    <li className="flex items-center gap-4 py-2">
      <Chassis mounting={file.mounting} height={72} />
      <span className="min-w-0 flex-1">
        <Link to={`/vehicles/${file.id}`} className="narrow flex min-h-11 items-center text-20">
          {file.name}
        </Link>
        <span className="text-quiet">
          {mountings.find((m) => m.id === file.mounting)?.name.toLowerCase()}, {known} of {file.connections.length}{' '}
          lines known
        </span>
      </span>
      <button type="button" className="btn shrink-0" onClick={onCopy}>
        Copy
      </button>
    </li>
  );
}
