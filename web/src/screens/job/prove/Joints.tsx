import { nameOf, type Joint } from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Tag } from '../../../look/Tag.tsx';
import { useNames } from '../../../net/queries.ts';
import { VerdictView } from '../../../ui/VerdictView.tsx';

const SEEN: { value: Joint['seen']; label: string }[] = [
  { value: 'dry', label: 'Dry' },
  { value: 'weeps', label: 'Weeps' },
  { value: 'drips', label: 'Drips' },
  { value: 'hidden', label: 'Can’t see' },
];

/** Joint by joint: wiped dry, wet behind, looked at with a light, by whom; each a verdict. */
export function Joints({ keys }: { keys: readonly string[] }) {
  const { state, enter } = useJob();
  const name = useNames();
  const [wiped, setWiped] = useState(false);
  const [wet, setWet] = useState(false);
  const checks = [...(wiped ? (['wiped'] as const) : []), ...(wet ? (['wet'] as const) : [])];
  if (keys.length === 0)
    return <p className="text-quiet">No joint that carries fuel or vapour was opened and closed yet.</p>;
  return (
    <section aria-label="joints">
      <h2 className="text-24">Joint by joint</h2>
      <p className="pb-3 text-quiet">
        Most vehicles have no test port: the proof is each joint, seen dry with fuel and pressure behind it. Cold light,
        eyes covered.
      </p>
      {!state.signed && (
        <div className="grid grid-cols-2 gap-3 pb-3">
          <button
            type="button"
            className="btn"
            aria-pressed={wiped}
            data-check="wiped"
            onClick={() => setWiped(!wiped)}
          >
            All wiped dry before
          </button>
          <button type="button" className="btn" aria-pressed={wet} data-check="wet" onClick={() => setWet(!wet)}>
            Fuel and pressure behind
          </button>
        </div>
      )}
      <ul className="ruled border-y border-rule">
        {keys.map((key) => {
          const joint = state.joints.find((j) => j.key === key);
          const item = state.items.find((i) => i.key === key);
          return (
            <li key={key} className="py-3">
              <div className="flex items-start gap-3 pb-2">
                <Tag number={item?.tag ?? null} open={false} />
                <div className="flex-1">
                  <p className="narrow text-20">{nameOf(state, key)}</p>
                  {joint && (
                    <>
                      <VerdictView verdict={joint.verdict} compact />
                      <p className="text-quiet">{name(joint.by)}</p>
                    </>
                  )}
                </div>
              </div>
              {!state.signed && (
                <div className="grid grid-cols-4 gap-3">
                  {SEEN.map((seen) => (
                    <button
                      key={seen.value}
                      type="button"
                      className="btn px-1"
                      aria-pressed={joint?.seen === seen.value}
                      data-joint={`${key}=${seen.value}`}
                      onClick={() => void enter('jointSeen', { key, seen: seen.value, checks: [...checks] })}
                    >
                      {seen.label}
                    </button>
                  ))}
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
