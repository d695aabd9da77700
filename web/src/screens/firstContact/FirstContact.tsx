import {
  figuresOf,
  complaintKinds,
  fileFromSight,
  mountings,
  witnessLitres,
  type Complaint,
  type FeedKind,
  type FuelKind,
  type Mounting,
  type VehicleFile,
  litres,
  rounded,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { TopBar } from '../../app/TopBar.tsx';
import { Chassis } from '../../drawings/chassis/Chassis.tsx';
import { newId } from '../../log/device.ts';
import { jobStore } from '../../log/jobStore.ts';
import { Strap } from '../../look/Strap.tsx';
import { useJobs, useMe, useShop, useVehicles } from '../../net/queries.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Gauge } from './Gauge.tsx';
import { KnownVehicles } from './KnownVehicles.tsx';
import { useWords } from '../../ui/Words.tsx';

/** First contact: a vehicle nobody measured, under twelve taps and nothing typed; or one the shop knows. */
export default function FirstContact() {
  const words = useWords();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const me = useMe().data?.person;
  const shop = useShop();
  const jobs = useJobs();
  const vehicles = useVehicles();
  const [mounting, setMounting] = useState<Mounting | null>(null);
  const [known, setKnown] = useState<VehicleFile | null>(null);
  const [fuel, setFuel] = useState<FuelKind>('petrol');
  const [feed, setFeed] = useState<FeedKind>('injected');
  const [bolts, setBolts] = useState<'boot' | 'below'>('boot');
  const [material, setMaterial] = useState<'plastic' | 'steel' | null>(null);
  const [complaint, setComplaint] = useState<Complaint | null>(null);
  const [gauge, setGauge] = useState<number | null>(null);
  const [lies, setLies] = useState(false);

  const taken = new Set(jobs.data?.filter((j) => !j.signed && !j.parked).map((j) => j.bay));
  const asked = Number(search.get('bay')) || null;
  // Nothing is free before the shop has said so: it stands outside.
  const free = (jobs.data && shop.data?.bays.findIndex((_, i) => !taken.has(i + 1))) ?? -1;
  const bay = asked ?? (free >= 0 ? free + 1 : null);
  const place = bay ? `bay ${bay}` : 'outside';
  const name = known?.name ?? `Vehicle ${bay ? 'in ' : ''}${place}`;
  const shell = material ?? (mounting === 'crosswise' ? 'steel' : 'plastic');
  const file =
    known ??
    (mounting
      ? fileFromSight({
          mounting,
          fuel,
          feed: fuel === 'diesel' ? null : feed,
          bolts,
          material: shell,
          name,
        })
      : null);
  const needsGauge = gauge === null && !lies && complaint !== 'level';
  const waits = !file
    ? 'say what you see from below'
    : !complaint
      ? 'say why it is here'
      : needsGauge
        ? 'read the gauge, or say that it lies'
        : undefined;
  const aboard =
    file && gauge !== null && !lies ? words([rounded(litres, witnessLitres(file, 'gauge', gauge), 5)]) : null;

  const begin = async () => {
    if (!file || !complaint) return;
    const jobId = newId();
    await jobStore(jobId).append(me?.id ?? '', 'opened', {
      name,
      complaint,
      vehicle: file,
      ...(bay ? { bay } : {}),
      ...(gauge !== null && !lies ? { gauge } : {}),
      ...(shop.data ? { shop: figuresOf(shop.data) } : {}),
    });
    void navigate(`/jobs/${jobId}/plan`, { replace: true });
  };

  return (
    <>
      <TopBar title="Next vehicle" hint={place} to="/">
        <span className="hidden text-quiet mid:block">plate and mileage can wait until signing</span>
      </TopBar>
      <main className="mx-auto max-w-[80rem] p-4 pb-8 mid:px-10 mid:py-6">
        <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2 pb-4">
          <h1 className="text-32 mid:text-48">What do you see from below?</h1>
          <KnownVehicles
            files={vehicles.data?.filter((v) => !v.id.startsWith('archetype-')) ?? []}
            chosen={known}
            onChoose={(v) => {
              setKnown(v);
              setMounting(v ? v.mounting : mounting);
            }}
          />
        </div>
        <div className="grid grid-cols-3 gap-3 mid:grid-cols-4 wide:grid-cols-7" role="group" aria-label="mounting">
          {mountings.map((kind) => {
            const on = mounting === kind.id && !known;
            return (
              <button
                key={kind.id}
                type="button"
                aria-pressed={on}
                onClick={() => {
                  setMounting(kind.id);
                  setKnown(null);
                }}
                className={`flex flex-col items-center border p-2 text-center ${on ? 'border-[3px] border-ink bg-sheet p-1.5' : 'border-edge'}`}
              >
                <span className="[&_svg]:h-28 [&_svg]:w-auto mid:[&_svg]:h-42">
                  <Chassis mounting={kind.id} height={168} next={on} />
                </span>
                <span className="narrow text-16 mid:text-20">{kind.name}</span>
                <span className="text-16 leading-tight text-quiet">{kind.hint}</span>
              </button>
            );
          })}
        </div>
        {!known && (
          <div className="grid gap-4 pt-4 mid:grid-cols-3 mid:gap-10">
            <Choice
              label="Fuel"
              value={fuel}
              onChoose={setFuel}
              columns="grid-cols-3"
              options={[
                { value: 'petrol', label: 'Petrol' },
                { value: 'e85', label: 'E85' },
                { value: 'diesel', label: 'Diesel' },
              ]}
            />
            {fuel !== 'diesel' && (
              <Choice
                label="Feed"
                value={feed}
                onChoose={setFeed}
                options={[
                  { value: 'injected', label: 'Injected' },
                  { value: 'carburettor', label: 'Carburettor' },
                ]}
              />
            )}
            <Choice
              label={`Tank; usually ${shell} here`}
              value={material}
              onChoose={setMaterial}
              options={[
                { value: 'plastic', label: 'Plastic' },
                { value: 'steel', label: 'Steel' },
              ]}
            />
            {mounting === 'floor' && (
              <Choice
                label="Bolt heads: in the boot, or below?"
                value={bolts}
                onChoose={setBolts}
                options={[
                  { value: 'boot', label: 'In the boot' },
                  { value: 'below', label: 'Below' },
                ]}
              />
            )}
          </div>
        )}
        <div className="pt-3">
          <Choice
            label="Why"
            value={complaint}
            onChoose={setComplaint}
            columns="grid-cols-2 mid:grid-cols-4 wide:grid-cols-7"
            options={complaintKinds.map((k) => ({ value: k.id, label: k.name }))}
          />
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)] items-end gap-5 pt-4 wide:grid-cols-[minmax(0,1fr)_12rem_21rem]">
          <Gauge
            value={lies || complaint === 'level' ? null : gauge}
            litres={aboard}
            file={file}
            onChange={(v) => (setGauge(v), setLies(false))}
          />
          <button
            type="button"
            className="btn"
            aria-pressed={lies || complaint === 'level'}
            onClick={() => setLies(!lies)}
          >
            {complaint === 'level' ? 'Gauge is the complaint' : 'Gauge lies'}
          </button>
          <Strap onClick={() => void begin()} waitsFor={waits}>
            The call
          </Strap>
        </div>
      </main>
    </>
  );
}
