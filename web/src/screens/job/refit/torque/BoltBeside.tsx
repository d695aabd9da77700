import {
  boltClasses,
  boltThreads,
  ifMeant,
  lubricants,
  wrenchSetting,
  type BoltClass,
  type Lubricant,
} from '@iron-cradle/core';
import { useState } from 'react';
import { Choice } from '../../../../ui/Choice.tsx';
import { QuantityField } from '../../../../ui/QuantityField.tsx';
import { SelectField } from '../../../../ui/SelectField.tsx';

/** What is known of the bolt beside its torque. */
export interface Bolt {
  /** What lies on its thread. */
  lubricant?: Lubricant;
  /** Its thread. */
  thread?: string;
  /** Stamped on its head. */
  grade?: BoltClass;
}

/** What was put back to nothing is not said. */
const known = (bolt: { [K in keyof Bolt]?: Bolt[K] | undefined }): Bolt =>
  Object.fromEntries(Object.entries(bolt).filter(([, value]) => value !== undefined));

const lubricantWord: Record<Lubricant, string> = {
  dry: 'Dry',
  zinc: 'Zinc, dry',
  oiled: 'Oiled',
  antiSeize: 'Anti-seize',
  locker: 'Locker',
  highLocker: 'Locker, high strength',
};

/** What lies on the thread, its size and class, and what the wrench is set to with a crowfoot on it. */
export function BoltBeside({
  bolt,
  torque,
  onBolt,
}: {
  bolt: Bolt;
  torque: number | null;
  onBolt: (bolt: Bolt) => void;
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <button type="button" className="btn w-full" data-action="bolt" onClick={() => setOpen(true)}>
        On its thread, its class, a crowfoot
      </button>
    );
  return (
    <section aria-label="the bolt" className="grid gap-3 border-y border-rule py-3">
      <Choice
        label="On its thread"
        value={bolt.lubricant ?? null}
        columns="grid-cols-2 min-[480px]:grid-cols-3"
        options={lubricants.map((value) => ({ value, label: lubricantWord[value] }))}
        onChoose={(lubricant) => onBolt({ ...bolt, lubricant })}
      />
      <div className="grid gap-3 min-[480px]:grid-cols-2">
        <SelectField
          label="Its thread"
          options={boltThreads()}
          value={bolt.thread}
          onPick={(thread) => onBolt(known({ ...bolt, thread }))}
        />
        <SelectField
          label="Stamped on its head"
          options={boltClasses}
          value={bolt.grade}
          onPick={(grade) => onBolt(known({ ...bolt, grade }))}
        />
      </div>
      <Crowfoot torque={torque} />
    </section>
  );
}

/** A crowfoot or an extension in line with the wrench makes its arm longer: it is set to less. */
function Crowfoot({ torque }: { torque: number | null }) {
  const [length, setLength] = useState<number | null>(null);
  const [extension, setExtension] = useState<number | null>(null);
  const [degrees, setDegrees] = useState<'0' | '45' | '90'>('0');
  const set =
    torque === null || length === null || extension === null
      ? null
      : ifMeant(() => wrenchSetting({ torque, length, extension, degrees: Number(degrees) }).toFixed(1));
  return (
    <div className="grid gap-3">
      <div className="grid gap-x-3 min-[480px]:grid-cols-2">
        <QuantityField
          label="Wrench, hand to square"
          dimension="length"
          unit="mm"
          decimals={0}
          onRead={(v) => setLength(v ? v.typ * 1000 : null)}
        />
        <QuantityField
          label="Crowfoot, square to bolt"
          dimension="length"
          unit="mm"
          decimals={0}
          onRead={(v) => setExtension(v ? v.typ * 1000 : null)}
        />
      </div>
      <Choice
        label="How it stands to the wrench"
        value={degrees}
        columns="grid-cols-3"
        options={[
          { value: '0', label: 'In line' },
          { value: '45', label: 'Half' },
          { value: '90', label: 'Across' },
        ]}
        onChoose={setDegrees}
      />
      {set !== null && (
        <p data-wrench-set={set}>
          Set the wrench to <span className="reading text-24">{set}</span> N·m
        </p>
      )}
    </div>
  );
}
