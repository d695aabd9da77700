import { castDraft } from 'immer';
import { defineKind, defineSlice, standing, type Debt, type Stamp } from '../kernel/index.ts';
import { heldTight, ringOpenings, type HoldSlice } from '../hold/index.ts';
import { anyKey, closedOpenings, knownClosed, type LedgerSlice } from '../ledger/index.ts';
import { say, type Sentence } from '../quantity/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import { fileName, fluidLines, keyOf, lineOf, splitKey, UNIT, type VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { JointSeenBody, SeenFromBody } from './bodies.ts';
import { judgeJoint } from './judge.ts';
import { wetsOf } from './wets.ts';

/** A joint as it was last seen. */
export interface Joint extends Stamp {
  /** Ledger key. */
  key: string;
  /** Openings it answers. */
  openings: readonly string[];
  /** What was seen. */
  seen: JointSeenBody['seen'];
  /** What was done before. */
  checks: readonly string[];
  /** In words. */
  words: string | null;
  /** What it is worth. */
  verdict: Verdict;
}

/** Joints that were looked at. */
export interface ProofSlice {
  /** Every look that still counts. */
  joints: readonly Joint[];
  /** Ledger key → the place of the head from which it is seen, where somebody said so; of several that knew nothing of each other all stand. */
  places: Readonly<Record<string, readonly PlaceWord[]>>;
}

/** From where a joint is seen, as somebody said. */
interface PlaceWord {
  /** Id of the entry. */
  id: string;
  /** In words. */
  place: string;
}

/** From where a joint is seen, as was said on this job; null: nobody did. @example placeSaid(state, 'line:vent') // 'left arch' */
export const placeSaid = ({ places }: Pick<ProofSlice, 'places'>, key: string): string | null =>
  places[key]?.[0]?.place ?? null;

type Facts = VehicleSlice & LedgerSlice;
type Sees = Facts & FuelSlice & HoldSlice;

/** A closing that a look, or a hold, has to answer. */
interface ToSee {
  /** Id of the opening. */
  id: string;
  /** Ledger key. */
  key: string;
  /** As people call it. */
  name: string;
}

/** Openings of joints that carry fuel or vapour and are closed, and the ring: each must be seen dry. */
const openingsToSee = ({ vehicle, openings, rings }: Facts): ToSee[] => {
  return [
    ...fluidLines(vehicle).flatMap((line) =>
      openings.filter((o) => o.key === keyOf('line', line.id) && o.closedIn !== null),
    ),
    ...ringOpenings({ rings }).map((id) => ({ id, key: UNIT, name: fileName(vehicle, UNIT) ?? UNIT })),
  ];
};

/** Joints that carry fuel or vapour and were opened, each to be seen dry at the end. @example jointsToSee(state) // ['line:feed'] */
export const jointsToSee = (state: Facts): string[] => [...new Set(openingsToSee(state).map((o) => o.key))];

/** Of those, what neither a look nor a hold has proved. @example jointsLeft(state) // ['line:filler'] */
export const jointsLeft = (state: Facts & ProofSlice & HoldSlice): string[] => [
  ...new Set(
    openingsToSee(state)
      .filter(({ id }) => !heldTight(state, id) && lookAt(state, id)?.verdict.outcome !== 'good')
      .map(({ key }) => key),
  ),
];

const gravity = { good: 0, doubtful: 1, unknown: 2, bad: 3 } as const;

/** The look that counts for an opening: of several that knew nothing of one another the worst. */
function lookAt({ joints }: ProofSlice, opening: string): Joint | undefined {
  return joints
    .filter((j) => j.openings.includes(opening))
    .sort((a, b) => gravity[b.verdict.outcome] - gravity[a.verdict.outcome] || (a.id < b.id ? -1 : 1))[0];
}

/** Holds what was seen of joints. */
export const proofSlice = defineSlice<ProofSlice, Sees>({
  name: 'proof',
  start: () => ({ joints: [], places: {} }),
  owes: (state): Debt[] =>
    openingsToSee(state).flatMap((opening) => {
      const joint = lookAt(state, opening.id);
      const owe = (text: Sentence): Debt[] => [
        { id: `seen:${opening.id}`, key: `joint:${opening.key}`, text: say`${opening.name}${text}` },
      ];
      // A drop that was seen outweighs a gauge that stood still.
      if (joint?.verdict.outcome !== 'bad' && heldTight(state, opening.id)) return [];
      if (!joint) return owe(' was not looked at');
      if (joint.verdict.outcome === 'good') return [];
      return owe(say`: ${joint.verdict.reasons[0]?.text ?? ''}`);
    }),
});

/** The ring’s closings, as the maker of a look knew them. */
const ringKnown = ({ rings }: Pick<LedgerSlice, 'rings'>, knew: (id: string) => boolean): string[] =>
  ringOpenings({ rings: rings.filter((one) => knew(one.in)) });

/** A joint is looked at. */
export const jointSeen = defineKind<'jointSeen', JointSeenBody, ProofSlice, Sees>({
  kind: 'jointSeen',
  version: 1,
  Body: JointSeenBody,
  complete: (state, body) => {
    const { lo, hi } = state.fuel.aboard;
    const openings = body.key === UNIT ? ringKnown(state, () => true) : closedOpenings(state, body.key);
    return { aboard: { lo: Math.max(0, lo), hi: Math.max(0, hi) }, openings, ...body };
  },
  apply: (own, { key, seen, checks, words, openings, aboard }, { moment, facts }) => {
    const known = key === UNIT ? ringKnown(facts, moment.knew) : knownClosed(facts, key, moment);
    const { id, by, at } = moment;
    // A later look takes the place of those its maker knew.
    own.joints = own.joints.filter((j) => j.key !== key || !moment.knew(j.id));
    const behind = aboard && { wets: wetsOf({ vehicle: facts.vehicle, fuel: { aboard } }, key), aboard };
    const fitting = lineOf(facts.vehicle, splitKey(key).id)?.fitting;
    const verdict = judgeJoint({ seen, checks }, { behind, fitting });
    const answers = openings ?? known;
    own.joints.push(castDraft({ key, openings: answers, seen, checks, words: words ?? null, id, by, at, verdict }));
  },
  touches: ({ key }) => ({ reads: [key], writes: [`seen:${key}`] }),
  words: ({ key, seen }, speech) => `${speech.name(key)} seen ${seen}`,
  arbitrary: (f) =>
    f.record({
      key: anyKey(f),
      seen: f.constantFrom('dry' as const, 'weeps' as const),
      checks: f.subarray(['wiped' as const, 'wet' as const]),
    }),
});

/** Somebody says from where a joint is seen. */
export const seenFrom = defineKind<'seenFrom', SeenFromBody, ProofSlice>({
  kind: 'seenFrom',
  version: 1,
  Body: SeenFromBody,
  apply: (own, { key, place }, { moment: { id, knew } }) => {
    const had = (own.places[key] ?? []) as readonly PlaceWord[];
    own.places[key] = castDraft(standing(had, { id, place: place.trim() }, knew));
  },
  touches: ({ key }) => ({ reads: [], writes: [`place:${key}`] }),
  words: ({ key, place }, speech) => `${speech.name(key)} is seen from ${place}`,
  arbitrary: (f) => f.record({ key: anyKey(f), place: f.constantFrom('left arch', 'front, shaft side') }),
});
