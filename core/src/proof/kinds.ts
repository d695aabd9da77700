import { IsArray, IsIn, IsOptional, IsString, Length, MaxLength } from 'class-validator';
import { castDraft } from 'immer';
import { defineKind, defineSlice, type Debt, type Stamp } from '../kernel/index.ts';
import { anyKey, closedOpenings, knownClosed, type LedgerSlice, type Opening } from '../ledger/index.ts';
import { inWords } from '../quantity/index.ts';
import { fluidLines, keyOf, type VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { judgeJoint } from './judge.ts';

/** A joint looked at: wiped dry before, wet with pressure on or not, and what was seen. */
export class JointSeenBody {
  /** Ledger key. */
  @IsString() @Length(3, 90) key!: string;
  /** What was seen. */
  @IsIn(['dry', 'weeps', 'drips', 'hidden']) seen!: 'dry' | 'weeps' | 'drips' | 'hidden';
  /** Things done before the look: wiped dry, wet with fuel or pressure. */
  @IsArray() @IsIn(['wiped', 'wet'], { each: true }) checks!: ('wiped' | 'wet')[];
  /** In words. */
  @IsOptional() @IsString() @MaxLength(300) words?: string;
  /** Openings it answers; left out: all its maker knew. */
  @IsOptional() @IsArray() @IsString({ each: true }) openings?: string[];
}

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
interface ProofSlice {
  /** Every look that still counts. */
  joints: readonly Joint[];
}

type Facts = VehicleSlice & LedgerSlice;

/** Openings of joints that carry fuel or vapour and are closed: each must be seen dry. */
const openingsToSee = ({ vehicle, openings }: Facts): Opening[] =>
  fluidLines(vehicle).flatMap((line) =>
    openings.filter((o) => o.key === keyOf('line', line.id) && o.closedIn !== null),
  );

/** Joints that carry fuel or vapour and were opened, each to be seen dry at the end. @example jointsToSee(state) // ['line:feed'] */
export const jointsToSee = (state: Facts): string[] => [...new Set(openingsToSee(state).map((o) => o.key))];

const gravity = { good: 0, doubtful: 1, unknown: 2, bad: 3 } as const;

/** The look that counts for an opening: of several that knew nothing of one another the worst. */
function lookAt({ joints }: ProofSlice, opening: string): Joint | undefined {
  return joints
    .filter((j) => j.openings.includes(opening))
    .sort((a, b) => gravity[b.verdict.outcome] - gravity[a.verdict.outcome] || (a.id < b.id ? -1 : 1))[0];
}

/** Holds what was seen of joints. */
export const proofSlice = defineSlice<ProofSlice, Facts>({
  name: 'proof',
  start: () => ({ joints: [] }),
  owes: (state): Debt[] =>
    openingsToSee(state).flatMap((opening) => {
      const joint = lookAt(state, opening.id);
      const owe = (text: string): Debt[] => [
        { id: `seen:${opening.id}`, key: `joint:${opening.key}`, text: `${opening.name}${text}` },
      ];
      if (!joint) return owe(' was not looked at');
      if (joint.verdict.outcome === 'good') return [];
      return owe(`: ${joint.verdict.reasons.map((r) => inWords(r.text)).join(', ')}`);
    }),
});

/** A joint is looked at. */
export const jointSeen = defineKind<'jointSeen', JointSeenBody, ProofSlice, Facts>({
  kind: 'jointSeen',
  version: 1,
  Body: JointSeenBody,
  complete: (state, body) => (body.openings ? body : { ...body, openings: closedOpenings(state, body.key) }),
  apply: (own, { key, seen, checks, words, openings }, { moment, facts }) => {
    const answers = openings ?? knownClosed(facts, key, moment);
    const { id, by, at } = moment;
    // A later look takes the place of those its maker knew.
    own.joints = own.joints.filter((j) => j.key !== key || !moment.knew(j.id));
    const verdict = judgeJoint({ seen, checks });
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
