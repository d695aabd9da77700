import {
  dropAt,
  asDeviceSays,
  entryInLog,
  gridNearest,
  lengthText,
  poseInWords,
  resourceName,
  roundTo,
  samePose,
  splitKey,
  unsettledKeys,
  type Entry,
  type Pose,
} from '@iron-cradle/core';
import { format } from 'date-fns';
import { useState } from 'react';
import { useUnits } from '../../app/units.ts';
import { Poses } from '../../drawings/poses/Poses.tsx';
import { useJob } from '../../log/useJob.ts';
import { Shape } from '../../look/Shapes.tsx';
import { Strap } from '../../look/Strap.tsx';
import { useNames } from '../../net/queries.ts';
import { Choice } from '../../ui/Choice.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';

/**
 * Two devices said different things, neither knowing of the other: what is true now? Nothing is planned from it until it
 * is answered, one question after the other.
 */
export function TwoDevices() {
  const { state, log } = useJob();
  const name = useNames();
  const units = useUnits();
  const keys = unsettledKeys(state);
  const key = keys[0];
  if (!key) return null;
  const between = (state.twoDevices[key]?.open ?? []).flatMap((id) => log.filter((entry) => entry.id === id));
  const devices = [...new Set(between.map((entry) => entry.device))];
  return (
    <main className="mx-auto flex w-full max-w-3xl flex-1 flex-col gap-5 p-4 mid:p-8" data-two-devices={key}>
      <h1 className="flex items-start gap-3 text-32">
        <Shape outcome="unknown" size={30} label="not known" />
        Two devices say different things of {resourceName(state, key)}
      </h1>
      <p className="text-quiet">
        Each was away from the other. Look at the vehicle, then say what is true. Until then nothing is planned
        {keys.length > 1 ? `; ${keys.length} questions in all` : ''}.
      </p>
      <div className="grid gap-5 mid:grid-cols-2">
        {devices.map((device, i) => (
          <section key={device} aria-label={`device ${i + 1}`}>
            <h2 className="border-b-2 border-ink pb-1 text-20">Device {i + 1}</h2>
            <ul className="ruled">
              {between
                .filter((entry) => entry.device === device)
                .map((entry) => (
                  <li key={entry.id} className="flex gap-3 py-2">
                    <span className="reading shrink-0">{format(new Date(entry.at), 'H:mm')}</span>
                    <span>
                      {entryInLog(state, log, { entry, units })} <span className="text-quiet">({name(entry.by)})</span>
                    </span>
                  </li>
                ))}
            </ul>
          </section>
        ))}
      </div>
      <div className="mt-auto pt-4 wide:mt-4">
        <Truth key={key} about={key} between={between} devices={devices} />
      </div>
    </main>
  );
}

interface Disputed {
  between: readonly Entry[];
  devices: readonly string[];
}

/** What is true of it, in the way it is asked of a height, of litres, of a thing, of anything else. */
function Truth({ about, between, devices }: Disputed & { about: string }) {
  const { enter } = useJob();
  const entries = between.map((entry) => entry.id);
  const settle = (more: { pose?: Pose; on?: boolean; litres?: number }) =>
    enter('settled', { key: about, entries, ...more });
  const { kind } = splitKey(about);
  if (about === 'pose')
    return <WhereItHangs between={between} devices={devices} onSay={(pose) => void settle({ pose })} />;
  if (about === 'fuel') return <LitresAboard onSay={(litres) => void settle({ litres })} />;
  if (['line', 'clip', 'obstruction', 'support', 'thing', 'loose'].includes(kind))
    return (
      <div className="grid grid-cols-2 gap-3">
        <button type="button" className="btn min-h-18" data-settle="off" onClick={() => void settle({ on: false })}>
          {kind === 'thing' ? 'It is still in' : 'It is off'}
        </button>
        <button type="button" className="btn min-h-18" data-settle="on" onClick={() => void settle({ on: true })}>
          {kind === 'thing' ? 'It is out' : 'It is on, made'}
        </button>
      </div>
    );
  return (
    <div className="grid gap-3">
      <p className="text-quiet">
        {kind === 'gate'
          ? 'The gate is asked again from here on.'
          : 'What was entered last stands; enter anew what is not so.'}
      </p>
      <Strap data-settle="seen" onClick={() => void settle({})}>
        Both were seen
      </Strap>
    </div>
  );
}

/** Where the tank hangs now: as one of them said, or as measured. */
function WhereItHangs({ between, devices, onSay }: Disputed & { onSay: (pose: Pose) => void }) {
  const { state, log } = useJob();
  const units = useUnits();
  const { ends, length } = state.vehicle;
  const said = devices.flatMap((device, i) => {
    const pose = asDeviceSays(log, between, device)?.pose;
    return pose ? [{ pose, name: `device ${i + 1}` }] : [];
  });
  const poses = [...new Map(said.map(({ pose }) => [`${pose.f}/${pose.r}`, pose])).values()];
  const whose = (pose: Pose) => said.flatMap((one) => (samePose(one.pose, pose) ? [one.name] : [])).join(' and ');
  const [chosen, setChosen] = useState<string | null>(null);
  const [own, setOwn] = useState<{ f: number | null; r: number | null }>({ f: null, r: null });
  const pose = chosen === 'own' ? own : (poses.find((p) => `${p.f}/${p.r}` === chosen) ?? { f: null, r: null });
  const ready = pose.f !== null && pose.r !== null;
  return (
    <div className="grid gap-3">
      <Poses said={said} units={units} />
      <Choice
        label="Where does it hang now?"
        value={chosen}
        onChoose={setChosen}
        columns="grid-cols-1 mid:grid-cols-3"
        options={[
          ...poses.map((p) => ({
            value: `${p.f}/${p.r}`,
            label: (
              <span>
                {poseInWords(p, ends, units)}
                <span className="block text-base font-normal text-quiet">as {whose(p)} has it</span>
              </span>
            ),
          })),
          { value: 'own', label: 'Elsewhere: measure it' },
        ]}
      />
      {chosen === 'own' && (
        <div className="grid grid-cols-2 gap-3">
          {(['f', 'r'] as const).map((end, i) => (
            <QuantityField
              key={end}
              label={`${ends[i] ?? end} end hangs`}
              dimension="length"
              unit={units === 'us' ? 'in' : 'mm'}
              onRead={(value) => setOwn((had) => ({ ...had, [end]: value ? gridNearest(value.typ * 1000) : null }))}
            />
          ))}
        </div>
      )}
      <p className="text-quiet">
        Look at every line that was on while it moved: what was pulled is entered under something holds.
        {ready ? ` Its middle hangs ${lengthText(dropAt(pose as Pose, length / 2, length), units)}.` : ''}
      </p>
      <Strap
        data-settle="pose"
        onClick={() => ready && onSay(pose as Pose)}
        waitsFor={ready ? undefined : chosen === 'own' ? 'measure both ends' : 'say where it hangs'}
      >
        It hangs there
      </Strap>
    </div>
  );
}

/** Litres aboard, measured anew. */
function LitresAboard({ onSay }: { onSay: (litres: number) => void }) {
  const units = useUnits();
  const [litres, setLitres] = useState<number | null>(null);
  return (
    <div className="grid gap-3">
      <QuantityField
        label="Litres aboard, dipped or seen anew"
        dimension="volume"
        unit={units === 'us' ? 'gal' : 'L'}
        onRead={(value) => setLitres(value ? roundTo(value.typ * 1000, 0.1) : null)}
      />
      <Strap
        data-settle="fuel"
        onClick={() => litres !== null && onSay(litres)}
        waitsFor={litres === null ? 'dip it and type the litres' : undefined}
      >
        So much is aboard
      </Strap>
    </div>
  );
}
