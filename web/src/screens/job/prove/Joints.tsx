import {
  inWords,
  jointsLeft,
  jointsToSee,
  litres,
  nameOf,
  owed,
  proofLitres,
  rounded,
  walkOf,
  wetsOf,
  type Joint,
  type WalkPlace,
} from '@iron-cradle/core';
import { useState } from 'react';
import { useJob } from '../../../log/useJob.ts';
import { Shape } from '../../../look/Shapes.tsx';
import { Tag } from '../../../look/Tag.tsx';
import { useNames } from '../../../net/queries.ts';
import { HoldRow } from '../hold/HoldRow.tsx';
import { TextField } from '../../../ui/TextField.tsx';
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
export function Joints({ onHold }: { onHold: () => void }) {
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
      {jointsToSee(state).some((key) => wetsOf(state, key).byHold) && (
        <div className="pb-3">
          <HoldRow where="home" onHold={onHold} />
        </div>
      )}
      {walkOf(state).map((place) => (
        <Place key={place.place ?? place.joints[0]!.key} place={place} checks={checks} />
      ))}
    </section>
  );
}

/** What is seen from one place of the head: one tap for all of it that is dry and can be proved now, one for what waits for a full tank. */
function Place({ place: { place, joints }, checks }: { place: WalkPlace; checks: readonly Check[] }) {
  const { state, enter, me } = useJob();
  const left = jointsLeft(state);
  const open = joints.filter(({ key, wets }) => wets.now && left.includes(key));
  const debts = owed(state).filter(({ key }) =>
    joints.some((joint) => !joint.wets.perhaps && key === `joint:${joint.key}`),
  );
  const allDry = async () => {
    for (const { key } of open) if (!(await enter('jointSeen', { key, seen: 'dry', checks: [...checks] }))) return;
  };
  const later = async () => {
    for (const { id, text } of debts) {
      const what = inWords(text);
      const reason = 'wet only with a full tank';
      if (!(await enter('deviation', { debt: id, what, reason, who: me.name, due: 'the next full tank' }))) return;
    }
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
      {place === null && joints[0] && !state.signed && <SeenFrom of={joints[0].key} />}
      {debts.length > 0 && !state.signed && (
        <button type="button" className="btn mt-3 w-full" data-action="joints-later" onClick={() => void later()}>
          {debts.length === 1 ? 'Not so full today: this one' : `Not so full today: these ${debts.length}`} at the next
          full tank
        </button>
      )}
    </section>
  );
}

/** Nobody said yet from where it is seen: beside one that was said, or in words. */
function SeenFrom({ of: key }: { of: string }) {
  const { state, enter } = useJob();
  const [open, setOpen] = useState(false);
  const [place, setPlace] = useState('');
  const known = [...new Set(walkOf(state).flatMap((one) => one.place ?? []))];
  const say = (words: string) => void enter('seenFrom', { key, place: words });
  return (
    <div className="flex flex-wrap gap-2 pt-2">
      {known.map((one) => (
        <button key={one} type="button" className="btn min-h-11 text-16" onClick={() => say(one)}>
          seen from {one}
        </button>
      ))}
      {open ? (
        <form
          className="flex min-w-0 flex-1 items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (place.trim().length >= 2) say(place.trim());
          }}
        >
          <TextField
            label="Seen from"
            value={place}
            maxLength={60}
            onChange={(event) => setPlace(event.target.value)}
          />
          <button type="submit" className="btn" disabled={place.trim().length < 2}>
            There
          </button>
        </form>
      ) : (
        <button type="button" className="btn min-h-11 text-16" data-seen-from={key} onClick={() => setOpen(true)}>
          seen from…
        </button>
      )}
    </div>
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
  const tight = joint === undefined && !jointsLeft(state).includes(key);
  const put = state.deviations.find(({ debt }) => debt.startsWith(`seen:${key}@`));
  return (
    <li className="py-3">
      <div className="flex items-start gap-3 pb-2">
        <Tag number={item?.tag ?? null} open={false} />
        <div className="flex-1">
          <p className="narrow text-20">{nameOf(state, key)}</p>
          {joint ? (
            <>
              <VerdictView verdict={joint.verdict} compact={joint.verdict.outcome !== 'bad'} />
              <p className="text-quiet">{name(joint.by)}</p>
            </>
          ) : tight ? (
            <p className="flex items-center gap-2 font-semibold text-go" data-held-tight={key}>
              <Shape outcome="good" size={18} label="held" /> tight in the hold
            </p>
          ) : (
            <p className="text-quiet" data-wets={wets.now ? 'now' : 'later'}>
              wet with {words(wets.text)}
              {wets.now ? '' : wets.byHold ? ': not yet; or held under a little air' : ': not yet'}
            </p>
          )}
          {put && <p className="font-semibold">Left: {put.due}</p>}
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
