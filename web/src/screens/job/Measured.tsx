import { SLACK, type Estimate } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../log/useJob.ts';
import { QuantityField } from '../../ui/QuantityField.tsx';

/** What is still on was measured: how far a line lets, or where the tank meets what is in the way. It outranks every look. */
export function Measured({ about, onKept }: { about: string; onKept?: () => void }) {
  const { enter, answer } = useJob();
  const [mm, setMm] = useState<number | null>(null);
  const keep = async () => {
    if (mm === null) return;
    const kept = about.startsWith('line:')
      ? await answer(SLACK, mm, about.slice(5))
      : await enter('surprise', { what: 'holds', key: about, lets: mm });
    if (kept) onKept?.();
  };
  return (
    <div>
      <QuantityField
        label={about.startsWith('line:') ? 'It lets, measured' : 'The tank meets it at'}
        dimension="length"
        unit="mm"
        decimals={0}
        hint="two fingers, 45 mm, 1 3/4 in"
        onRead={(v: Estimate | null) => setMm(v ? Math.floor(v.lo * 1000) : null)}
      />
      <button
        type="button"
        className="btn w-full"
        data-action="measured"
        disabled={mm === null}
        onClick={() => void keep()}
      >
        {mm === null ? 'Type what was measured' : `It lets ${mm} mm`}
      </button>
    </div>
  );
}
