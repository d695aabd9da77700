import { IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, Length, Max, Min } from 'class-validator';
import { castDraft } from 'immer';
import { defineKind, defineSlice, type Debt, type Stamp } from '../kernel/index.ts';
import { closedOpenings, knownClosed, type LedgerSlice } from '../ledger/index.ts';
import { estimateOf, splitKey, supportOf, type VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { boltClasses, boltThreads, lubricants, type BoltClass, type Lubricant } from './bolt.ts';
import { judgeTorque, SNUG, type Snug } from './judge.ts';
import { LIES, STRAPS, type Lies, type StrapIs } from './seated.ts';

/** Torque as somebody wrote it; no number means it was not measured. */
export class TorqueBody {
  /** Ledger key. */
  @IsString() @Length(3, 90) key!: string;
  /** As written. */
  @IsString() @Length(1, 40) asWritten!: string;
  /** N·m, read from the text. */
  @IsOptional() @IsNumber() @Min(0) @Max(2000) lo?: number;
  /** N·m, read from the text. */
  @IsOptional() @IsNumber() @Min(0) @Max(2000) hi?: number;
  /** What lies on its thread. */
  @IsOptional() @IsIn(lubricants) lubricant?: Lubricant;
  /** Its thread. */
  @IsOptional() @IsIn(boltThreads()) thread?: string;
  /** Stamped on its head. */
  @IsOptional() @IsIn(boltClasses) grade?: BoltClass;
  /** Where the file has no figure: what was seen to instead. */
  @IsOptional() @IsArray() @IsIn(Object.keys(SNUG), { each: true }) snug?: Snug[];
  /** Rounds it was drawn in. */
  @IsOptional() @IsInt() @Min(1) @Max(9) rounds?: number;
  /** Where the tank lies, by what shows where it sat. */
  @IsOptional() @IsIn(Object.keys(LIES)) lies?: Lies;
  /** The strap that holds it. */
  @IsOptional() @IsIn(Object.keys(STRAPS)) strap?: StrapIs;
  /** Openings it answers; left out: all its maker knew. */
  @IsOptional() @IsArray() @IsString({ each: true }) openings?: string[];
}

/** A torque that was written. */
interface Torque extends TorqueBody, Stamp {
  /** What it is worth. */
  verdict: Verdict;
}

/** Torques. */
export interface TorqueSlice {
  /** The newest of each thing. */
  torques: readonly Torque[];
}

type Facts = VehicleSlice & LedgerSlice & { deepest: number; out: boolean };

/** Holds the torques. Each opening of a support owes one of its own. */
export const torqueSlice = defineSlice<TorqueSlice, Facts>({
  name: 'fastener',
  start: () => ({ torques: [] }),
  owes: (state): Debt[] =>
    state.openings
      .filter((o) => o.kind === 'support' && o.closedIn !== null)
      .filter((o) => !state.torques.some((t) => t.openings?.includes(o.id)))
      .map((o) => ({
        id: `torque:${o.id}`,
        key: `torque:${splitKey(o.key).id}`,
        text: `torque of ${o.name} is not written`,
      })),
});

/** A torque is written. */
export const torque = defineKind<'torque', TorqueBody, TorqueSlice, Facts>({
  kind: 'torque',
  version: 1,
  Body: TorqueBody,
  complete: (state, body) => (body.openings ? body : { ...body, openings: closedOpenings(state, body.key) }),
  apply: (own, body, { moment, facts }) => {
    const support = supportOf(facts.vehicle, splitKey(body.key).id);
    const fastener = facts.vehicle.fasteners.find((f) => f.id === support?.fastener);
    const range = fastener?.torque ? { ...fastener.torque, ...estimateOf(facts.vehicle, fastener.torque) } : null;
    const openings = body.openings ?? knownClosed(facts, body.key, moment);
    own.torques = [
      ...own.torques.filter((t) => t.key !== body.key || !(t.openings ?? []).every((id) => openings.includes(id))),
      castDraft<Torque>({
        ...body,
        openings,
        id: moment.id,
        by: moment.by,
        at: moment.at,
        verdict: judgeTorque(body, range),
      }),
    ];
  },
  touches: ({ key }) => ({ reads: [key], writes: [`torque:${key}`] }),
  words: ({ key }, speech) => `torque of ${speech.name(key)}`,
  arbitrary: (f) =>
    f.record({
      key: f.constantFrom('support:strap-1', 'support:strap-2'),
      asWritten: f.constant('40 N·m'),
      lo: f.constant(40),
      hi: f.constant(40),
    }),
});
