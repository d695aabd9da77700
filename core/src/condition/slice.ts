import { openEnds, type LedgerSlice } from '../ledger/index.ts';
import type { Draft } from 'immer';
import { defineSlice, type Moment, type RecordLine, type Stamp } from '../kernel/index.ts';
import { say } from '../quantity/index.ts';
import type { VehicleSlice } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { FindingBody } from './bodies.ts';
import { sparkActs, type SparkAct } from './spark.ts';

/** Something found, by whom and when. */
export type Finding = FindingBody & Stamp;

/** A spark that was asked for. */
export interface Spark extends Stamp {
  /** What makes it. */
  act: SparkAct;
  /** May it be made? */
  verdict: Verdict;
  /** Something came off or was moved since. */
  ended: boolean;
}

/** What was found, and when a spark may be made. */
export interface ConditionSlice {
  /** Oldest first. */
  findings: readonly Finding[];
  /** Oldest first. */
  sparks: readonly Spark[];
}

/** What the look at the joints with the key on is called among the findings. */
export const TEST_STOP = 'test stop';

/** What a spark is judged by beside what is said. */
export type ConditionFacts = ConditionSlice & VehicleSlice & LedgerSlice;

/** Lines that hold fuel, are off and not capped. @example wetEnds(state) // ['feed line'] */
export const wetEnds = (state: Pick<LedgerSlice, 'items'> & VehicleSlice): string[] =>
  openEnds(state)
    .filter(({ wet, capped }) => wet && !capped)
    .map(({ name }) => name);

/** So long what somebody saw of air and floor holds, ms; common practice, no source. */
const HOLDS = 30 * 60_000;

/**
 * The spark that was asked for last, while what was seen for it still holds: nothing came off or was moved, half an hour at most;
 * null: ask.
 *
 * @param now ms since 1970
 * @example sparkOf(state, Date.now())?.verdict.outcome
 */
export function sparkOf({ sparks }: Pick<ConditionSlice, 'sparks'>, now: number): Spark | null {
  const last = sparks.at(-1);
  if (!last || last.ended) return null;
  return Math.abs(now - Date.parse(last.at)) <= HOLDS ? last : null;
}

/** Holds what was found. What allowed a spark ends with anything that changes what is wet. */
export const conditionSlice = defineSlice<ConditionSlice, ConditionFacts>({
  name: 'condition',
  start: () => ({ findings: [], sparks: [] }),
  hears: {
    mended: (own, { what, where, how }, { moment: { id, by, at } }) =>
      void own.findings.push({ what, where, verdict: 'good', note: how, id, by, at }),
    cameOff: endSparks,
    fuelChanged: endSparks,
    ring: endSparks,
    moved: endSparks,
    vehicleMoved: endSparks,
  },
  record: ({ sparks }) =>
    sparks.map(({ act, verdict, by, at }): RecordLine => ({
      under: 'bench',
      text: say`${sparkActs[act]} asked for: ${verdict.reasons[0]?.text ?? ''}`,
      by,
      at,
    })),
});

/** What somebody does who knows of an allowed spark ends it; what another device does meanwhile can't, so it ends by the clock too. */
function endSparks({ sparks }: Draft<ConditionSlice>, _: unknown, { moment }: { moment: Moment }): void {
  for (const one of sparks) if (moment.knew(one.id)) one.ended = true;
}
