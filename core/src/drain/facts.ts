import { commonPractice, shopRule } from '../basis/index.ts';
import type { Estimate } from '../estimate/index.ts';
import { answerTo, type Answered } from '../questions/index.ts';
import { DRAIN_PLUG } from '../tank/index.ts';
import { CAP_OPENS, HOSE_HEAD, SECOND_TANK } from './questions.ts';

/** What this shop drains with. Where a shop starts; common practice, no source. */
export interface DrainKit {
  /** L/min; null where there is none. */
  transferPump: Estimate | null;
  /** m */
  siphon: { bore: number; length: number } | null;
}

/** What a pump gives of its rated flow, with its hose and what it lifts; common practice, no source. */
const RATED = { lo: 0.6, hi: 1.4 };

/**
 * The kit as a shop types it: a rated flow in L/min, a bore in mm, a length in m. A rated flow is seldom reached.
 *
 * @example kitOf({ transferPump: 7, siphonBore: 10, siphonLength: 2 }).siphon // { bore: 0.01, length: 2 }
 */
export function kitOf(kit: { transferPump: number | null; siphonBore: number | null; siphonLength: number }): DrainKit {
  const { transferPump: flow, siphonBore: bore, siphonLength: length } = kit;
  return {
    transferPump: flow === null ? null : { lo: flow * RATED.lo, typ: flow, hi: flow * RATED.hi, basis: shopRule },
    siphon: bore === null ? null : { bore: bore / 1000, length },
  };
}

/** What a shop has to drain with before it says otherwise. */
export const startingKit: DrainKit = {
  transferPump: { lo: 4, typ: 7, hi: 10, basis: commonPractice },
  siphon: { bore: 0.01, length: 2 },
};

/** What was seen that decides between the ways; as the answers of a job say it. */
export interface DrainFacts {
  /** The filler cap will not open. */
  capShut?: boolean;
  /** The plug was opened and nothing came; or there is none. */
  plug?: 'silent' | 'none';
  /** From the hose's free end up to the fuel, m; not above zero: the end is higher than the fuel. */
  hoseHead?: number;
  /** It is made safe already: on the lift, pressure out. */
  madeSafe?: boolean;
  /** A second tank is aboard, with room. */
  otherTank?: boolean;
}

/** The facts as the log's answers hold them. @example drainFacts(state).capShut // true */
export function drainFacts(state: Answered, madeSafe = false): DrainFacts {
  const head = answerTo(state, HOSE_HEAD);
  const plug = answerTo(state, DRAIN_PLUG);
  return {
    ...(madeSafe ? { madeSafe } : {}),
    ...(answerTo(state, CAP_OPENS) === 'no' ? { capShut: true } : {}),
    ...(plug === 'silent' || plug === 'none' ? { plug } : {}),
    ...(typeof head === 'number' ? { hoseHead: head } : {}),
    ...(answerTo(state, SECOND_TANK) === 'yes' ? { otherTank: true } : {}),
  };
}
