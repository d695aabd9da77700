import {
  jointsToSee,
  litres,
  nameOf,
  proofLitres,
  rounded,
  walkOf,
  type Joint,
  type WalkPlace,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Tag } from '../../../look/Tag.tsx';
import { useNames } from '../../../net/queries.ts';
import { VerdictView } from '../../../ui/VerdictView.tsx';
import { useWords } from '../../../ui/Words.tsx';

type Check = 'wiped' | 'wet';
const SEEN: { value: Joint['seen']; label: string }[] = [
  { value: 'dry', label: 'Dry' },
  { value: 'weeps', label: 'Weeps' },
  { value: 'drips', label: 'Drips' },
  { value: 'hidden', label: 'Can’t see' },
];

/** Joint by joint: one wipe round, then one look from each place of the head; what can be proved now, and what wants it fuller. */
export function Joints() {
  const { state } = useJob();
  const words = useWords();
  const [wiped, setWiped] = useState(false);
  const [wet, setWet] = useState(false);
  const checks: Check[] = [...(wiped ? (['wiped'] as const) : []), ...(wet ? (['wet'] as const) : [])];
  if (jointsToSee(state).length === 0)
    return <p className="text-quiet">No joint that carries fuel or vapour was opened and closed yet.</p>;
  const left = proofLitres(state);
  return (
    <section aria-label="joints">
      <h2 className="text-24">Joint by joint</h2>
      <p className="pb-3 text-quiet">
        Most vehicles have no test port: the proof is each joint, seen dry with fuel and pressure behind it. Cold light,
        eyes covered, white paper and no finger.
      </p>
      {left && !state.signed && (
        <p className="pb-3" data-proof-litres={Math.round(left.litres)}>
          {left.keys.length === 0
            ? 'What is left can all be proved with what is in it.'
            : `${words([rounded(litres, { lo: left.litres, hi: left.litres }, 1)])} more prove what is left. A leak found then means draining again: look at all the others first.`}
        </p>
      )}
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
      {walkOf(state).map((place) => (
        <Place key={place.place ?? place.joints[0]!.key} place={place} checks={checks} />
      ))}
    </section>
  );
}

/** What is seen from one place of the head: one tap for all of it that is dry and can be proved now. */
function Place({ place: { place, joints }, checks }: { place: WalkPlace; checks: readonly Check[] }) {
  const { state, enter } = useJob();
  const open = joints.filter(
    ({ key, wets }) => wets.now && state.joints.findLast((joint) => joint.key === key)?.verdict.outcome !== 'good',
  );
  const allDry = async () => {
    for (const { key } of open) if (!(await enter('jointSeen', { key, seen: 'dry', checks: [...checks] }))) return;
  };
  return (
    <section aria-label={place ?? 'by itself'} className="pb-4" data-place-of-head={place ?? 'alone'}>
      {place !== null && (
        <div className="flex items-center justify-between gap-3 border-b-2 border-ink pb-2 pt-2">
          <h3 className="text-20">Head: {place}</h3>
          {open.length > 1 && !state.signed && (
            <button type="button" className="btn" data-action="all-dry" onClick={() => void allDry()}>
              All {open.length} dry from here
            </button>
          )}
        </div>
      )}
      <ul className={`ruled ${place === null ? 'border-y border-rule' : 'border-b border-rule'}`}>
        {joints.map(({ key, wets }) => (
          <OneJoint key={key} of={key} wets={wets} checks={checks} />
        ))}
      </ul>
    </section>
  );
}

interface OneJointProps {
  of: string;
  wets: WalkPlace['joints'][number]['wets'];
  checks: readonly Check[];
}

function OneJoint({ of: key, wets, checks }: OneJointProps) {
  const { state, enter } = useJob();
  const name = useNames();
  const words = useWords();
  const joint = state.joints.findLast((j) => j.key === key);
  const item = state.items.find((i) => i.key === key);
  return (
    <li className="py-3">
      <div className="flex items-start gap-3 pb-2">
        <Tag number={item?.tag ?? null} open={false} />
        <div className="flex-1">
          <p className="narrow text-20">{nameOf(state, key)}</p>
          {joint ? (
            <>
              <VerdictView verdict={joint.verdict} compact />
              <p className="text-quiet">{name(joint.by)}</p>
            </>
          ) : (
            <p className="text-quiet" data-wets={wets.now ? 'now' : 'later'}>
              wet with {words(wets.text)}
              {wets.now ? '' : ': not yet'}
            </p>
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
}
