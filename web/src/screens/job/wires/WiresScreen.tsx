import {
  gauges,
  groundOff,
  ifMeant,
  judgeWire,
  litres,
  rounded,
  WIRE_SEEN,
  type Bodies,
  type WireSeen,
} from '@iron-cradle/core';
import { useRef, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { CircuitDrawing, type CircuitPlace } from '../../../drawings/circuit/CircuitDrawing.tsx';
import { FormChoice } from '../../../form/FormChoice.tsx';
import { FormQuantity } from '../../../form/FormQuantity.tsx';
import { useEntryForm } from '../../../form/useEntryForm.ts';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Strap } from '../../../look/Strap.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { PickMany } from '../../../ui/PickMany.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { useWords } from '../../../ui/Words.tsx';
import { TankLayout } from '../tank/TankLayout.tsx';
import { CutWires } from './CutWires.tsx';

type Tried = Bodies['wireTried'];

/** Fields of the form, by where they are on the drawing. */
const FIELD: Partial<Record<CircuitPlace, string>> = {
  fuse: 'Fuse',
  feed: 'Volts lost in the feed',
  amps: 'Amps while it runs',
  ground: 'Volts lost in the ground',
  bond: 'Ohms, neck to body',
};

/** The pump’s circuit, drawn: volts, amps and ohms where they are read; wires cut on the way; what a bad ground does to the needle. */
export function WiresScreen({ onDone }: { onDone: () => void }) {
  const { state } = useJob();
  const form = useEntryForm({ kind: 'wireTried', start: { gauge: 14, back: 'chassis', seen: [] } });
  const bond = useEntryForm({ kind: 'bondRead', start: {} });
  const [chosen, setChosen] = useState<CircuitPlace | null>(null);
  const panel = useRef<HTMLElement>(null);
  const said = useWatch({ control: form.control }) as Partial<Tried>;
  const ohms = useWatch({ control: bond.control, name: 'ohms' }) as number | null | undefined;
  const judged = judgedSoFar(said);
  const choose = (place: CircuitPlace) => {
    setChosen(place);
    const label = FIELD[place];
    const field = [...(panel.current?.querySelectorAll('label') ?? [])].find(
      (one) => label && one.textContent?.startsWith(label),
    );
    field?.querySelector('input')?.focus();
  };
  const seen = said.seen ?? [];
  // What stands only because nothing is wrong is at no place.
  const wrong = (judged?.outcome === 'good' ? [] : (judged?.reasons ?? [])).flatMap(
    ({ at }) => at ?? [],
  ) as CircuitPlace[];
  const bad: CircuitPlace[] = seen.includes('relay') ? [...wrong, 'relay'] : wrong;
  const figure = (value: number | null | undefined, unit: string) =>
    typeof value === 'number' && Number.isFinite(value) ? `${value} ${unit}` : undefined;
  const [amps, feed, ground, fuse] = [
    figure(said.amps, 'A'),
    figure(said.feed, 'V'),
    figure(said.ground, 'V'),
    figure(said.fuse, 'A'),
  ];
  const bonded = figure(ohms, 'Ω');
  return (
    <TankLayout
      station="prove"
      page
      stage={() => (
        <div className="h-full overflow-y-auto p-4 mid:p-6">
          <h1 className="pb-2 text-32">Wires and ground</h1>
          <p className="pb-4 text-quiet">
            Pump running, meter between the two ends of a piece of wire: what it shows is lost there. Touch what you
            measured.
          </p>
          <CircuitDrawing
            said={{
              ...(amps ? { amps } : {}),
              ...(feed ? { feed } : {}),
              ...(ground ? { ground } : {}),
              ...(fuse ? { fuse } : {}),
              ...(bonded ? { bond: bonded } : {}),
            }}
            bad={bad}
            chosen={chosen}
            onChoose={state.signed ? undefined : choose}
          />
          <BadGround />
          <CutWires />
        </div>
      )}
      now={
        <section
          ref={panel}
          aria-label="wires"
          className="grid gap-4 p-4 mid:p-6"
          data-wires={judged?.outcome ?? 'none'}
        >
          {judged ? (
            <VerdictView verdict={judged} />
          ) : (
            <p className="flex gap-3 border-l-4 border-look pl-3">
              <Shape outcome="doubtful" size={24} /> Open ends shut, no vapour to smell, nobody underneath while the
              pump runs. The service information comes first.
            </p>
          )}
          {!state.signed && (
            <>
              <div className="grid grid-cols-2 gap-x-3">
                <FormQuantity
                  form={form}
                  name="amps"
                  label="Amps while it runs"
                  dimension="current"
                  unit="A"
                  step={0.1}
                  decimals={1}
                />
                <FormQuantity
                  form={form}
                  name="metres"
                  label="Length, fuse to plug"
                  dimension="length"
                  unit="m"
                  step={0.1}
                  decimals={1}
                />
                <FormQuantity
                  form={form}
                  name="feed"
                  label="Volts lost in the feed"
                  dimension="voltage"
                  unit="V"
                  step={0.01}
                  decimals={2}
                />
                <FormQuantity
                  form={form}
                  name="ground"
                  label="Volts lost in the ground"
                  dimension="voltage"
                  unit="V"
                  step={0.01}
                  decimals={2}
                />
                <FormQuantity
                  form={form}
                  name="fuse"
                  label="Fuse"
                  dimension="current"
                  unit="A"
                  step={0.5}
                  decimals={1}
                />
              </div>
              <Choice
                label="Gauge of the wire"
                columns="grid-cols-3"
                value={String(said.gauge ?? '')}
                options={gauges.map((gauge) => ({ value: String(gauge), label: gauge }))}
                onChoose={(gauge) => form.setValue('gauge', Number(gauge) as Tried['gauge'])}
              />
              <FormChoice
                form={form}
                name="back"
                label="It comes back through"
                options={[
                  { value: 'chassis', label: 'The body' },
                  { value: 'wire', label: 'A wire as long' },
                ]}
              />
              <div>
                <p className="pb-1 font-semibold">By eye and hand: tug every crimp</p>
                <PickMany
                  things={Object.entries(WIRE_SEEN).map(([id, name]) => ({ id, name }))}
                  picked={seen}
                  onPick={(picked) => form.setValue('seen', picked as WireSeen[])}
                />
              </div>
              <Strap
                data-action="wire-so"
                onClick={() => void form.say()}
                waitsFor={judged ? undefined : 'amps and length'}
              >
                So it is
              </Strap>
              <section aria-label="bond" className="grid gap-3 border-t border-rule pt-4">
                <FormQuantity
                  form={bond}
                  name="ohms"
                  label="Ohms, neck to body"
                  dimension="resistance"
                  unit="Ω"
                  step={0.1}
                  decimals={1}
                />
                {state.bonds.at(-1) && <VerdictView verdict={state.bonds.at(-1)!.verdict} compact />}
                <button type="button" className="btn" data-action="bond-so" onClick={() => void bond.say()}>
                  Bond of the neck read
                </button>
              </section>
            </>
          )}
          {state.wires.map(({ id, verdict }) => (
            <VerdictView key={id} verdict={verdict} compact />
          ))}
          <button type="button" className="btn" data-action="wires-done" onClick={onDone}>
            Back
          </button>
        </section>
      }
    />
  );
}

/** What it comes to so far; null while amps or length are missing. */
function judgedSoFar({ amps, metres, gauge, back, seen = [], ...rest }: Partial<Tried>) {
  if (typeof amps !== 'number' || typeof metres !== 'number' || !gauge || !back) return null;
  const known = Object.fromEntries(Object.entries(rest).filter(([, value]) => typeof value === 'number'));
  return ifMeant(() =>
    judgeWire(
      { amps, metres, gauge, back, ...known },
      seen.map((one) => WIRE_SEEN[one]),
    ),
  );
}

/** Ohms too many in the sender’s ground, and the litres the needle is off by them. */
function BadGround() {
  const { state } = useJob();
  const words = useWords();
  const [extra, setExtra] = useState<number | null>(null);
  const { vehicle, fuel } = state;
  const shares = [
    { at: 'as full as it is now', share: Math.min(1, fuel.aboard.typ / vehicle.tank.litres.typ) },
    { at: 'at half', share: 0.5 },
  ];
  return (
    <section aria-label="a bad ground" className="max-w-md pt-6">
      <h2 className="text-20">What a bad ground does to this needle</h2>
      <QuantityField
        label="Ohms from the sender’s ground to the battery"
        dimension="resistance"
        unit="Ω"
        decimals={1}
        initial=""
        onRead={(value) => setExtra(value ? value.typ : null)}
      />
      {extra !== null &&
        shares.map(({ at, share }) => {
          const off = groundOff(vehicle, { extra, mm: share * vehicle.tank.shape.height });
          return (
            <p key={at} className="text-20 font-semibold" data-ground-off={at}>
              {off === null
                ? 'The file does not say what this sender reads.'
                : `${words([rounded(litres, { lo: Math.abs(off), hi: Math.abs(off) }, 0.1)])} too ${off > 0 ? 'many' : 'few'}, ${at}.`}
            </p>
          );
        })}
    </section>
  );
}
