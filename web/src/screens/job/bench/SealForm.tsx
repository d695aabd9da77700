import { judgeSeal, SEAL_SCHOOLS, unitOf, type SealSchool } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { VerdictView } from '../../../ui/VerdictView.tsx';

/** What is said of the seal as the ring closes on it. */
export interface SealSaid {
  /** What lies on it. */
  school?: SealSchool;
  /** mm thick, the old one. */
  sealOld?: number;
  /** mm thick, the new one. */
  sealNew?: number;
}

const WORDS: Record<SealSchool, string> = { dry: 'Dry', oiled: 'A trace of oil', sealant: 'Sealant' };

/** How the new seal goes in, and how thick it is against the old one: all of it may stay empty. */
export function SealForm({ said, onSaid }: { said: SealSaid; onSaid: (said: SealSaid) => void }) {
  const { state } = useJob();
  const [more, setMore] = useState(false);
  const screwed = unitOf(state.vehicle).kind === 'screws';
  const spoken = said.school !== undefined || said.sealNew !== undefined;
  const read = (key: 'sealOld' | 'sealNew') => (value: { typ: number } | null) => {
    const { [key]: _, ...rest } = said;
    onSaid(value ? { ...rest, [key]: Math.round(value.typ * 1e5) / 100 } : rest);
  };
  return (
    <div className="grid gap-3">
      <Choice
        label="The seal goes in"
        columns="grid-cols-3"
        value={said.school ?? null}
        options={SEAL_SCHOOLS.map((value) => ({ value, label: WORDS[value] }))}
        onChoose={(school) => onSaid({ ...said, school })}
      />
      {more ? (
        <div className="grid grid-cols-2 gap-3">
          <QuantityField label="Old seal, thick" dimension="length" unit="mm" decimals={1} onRead={read('sealOld')} />
          <QuantityField label="New seal, thick" dimension="length" unit="mm" decimals={1} onRead={read('sealNew')} />
        </div>
      ) : (
        <button type="button" className="btn" data-action="seal-thick" onClick={() => setMore(true)}>
          Old beside new: how thick?
        </button>
      )}
      {spoken && <VerdictView verdict={judgeSeal({ newSeal: true, ...said }, screwed)} compact />}
    </div>
  );
}
