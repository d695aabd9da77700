import { computed } from '../basis/index.ts';
import type { Estimate } from '../estimate/index.ts';
import { clamp, contradict, estimate, narrow } from '../estimate/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import { COUNT_ERROR, witnessSource, witnessWord, type WitnessKind } from './witness.ts';

/** One witness as it stands in the log: what it said and how much had come out or gone in by then (litres). */
export interface Witness {
  /** Id of the entry that says it. */
  id: string;
  /** Of which sort. */
  kind: WitnessKind;
  /** What was read, in the unit of its sort; null where there is none. */
  reading: number | null;
  /** What that means, litres. */
  litres: Estimate;
  /** Counted out before it, L. */
  outBefore: number;
  /** Counted in before it, L. */
  inBefore: number;
}

/** What is aboard by all witnesses together. */
export interface FuelAboard {
  /** Litres aboard now. */
  aboard: Estimate;
  /** How the range narrowed, witness by witness, each carried to now; why one does not count, null where it does. */
  steps: {
    id: string;
    kind: WitnessKind;
    said: Estimate;
    together: Estimate;
    agrees: boolean;
    ignored: string | null;
  }[];
  /** Sources that agree; two are needed before the supports come off. */
  sources: string[];
  /** Pairs that contradict each other, in words. */
  contradictions: string[];
}

/**
 * Litres aboard from all witnesses together, each carried to now by what was counted out and in since. Of those that
 * cannot all be true the ones count that most sources stand behind, and where they are as many, the newest: a pump that
 * ran dry does not outvote a scale and a gauge, a plug that is dry does outvote a needle. The others are named. A plug or a
 * pick-up from which nothing came at all tells nothing: empty or blocked, nobody knows which.
 *
 * @param out litres counted into containers so far
 * @param filled litres put in so far
 * @param senderSuspect the sender is the complaint: what reads it is shown and does not count
 * @param plugSilent nothing came of the plug when it was opened
 * @example fuelAboard(rail, { witnesses: [half], out: 20, filled: 0 }).aboard // what half a gauge means after 20 L came out
 */
export function fuelAboard(
  file: VehicleFile,
  {
    witnesses,
    out,
    filled,
    senderSuspect = false,
    plugSilent = false,
  }: {
    witnesses: readonly Witness[];
    out: number;
    filled: number;
    senderSuspect?: boolean;
    plugSilent?: boolean;
  },
): FuelAboard {
  const capacity = file.tank.litres;
  const everything = estimate({ lo: 0, typ: capacity.typ / 2, hi: capacity.hi }, { kind: file.basis });
  const told = witnesses.map((witness): Told => ({
    id: witness.id,
    kind: witness.kind,
    said: clamp(carried(witness, out, filled), 0, capacity.hi),
    ignored:
      senderSuspect && witnessSource[witness.kind] === 'sender'
        ? 'it reads the sender that is the complaint'
        : (plugSilent && witness.kind === 'plugDry') || isNothing(witness)
          ? 'nothing came of it: empty or blocked, nobody knows which'
          : null,
  }));
  const counting = told.filter(countsFor);
  const believed = mostBelieved(counting);
  const steps = told.map((w, i) => ({
    ...w,
    together: common(mostBelieved(told.slice(0, i + 1).filter(countsFor)), everything),
    agrees: !countsFor(w) || believed.includes(w),
  }));
  const contradictions = counting
    .filter((w) => !believed.includes(w))
    .flatMap((w) =>
      believed
        .filter((other) => contradict(other.said, w.said))
        .map((other) => (counting.indexOf(other) < counting.indexOf(w) ? [other, w] : [w, other]))
        .map(([first, second]) => `${witnessWord[first!.kind]} and ${witnessWord[second!.kind]} do not agree`),
    );
  const nobody = clamp(carried({ litres: everything, outBefore: 0, inBefore: 0 }, out, filled), 0, capacity.hi);
  return {
    aboard: believed.length > 0 ? common(believed, everything) : nobody,
    steps,
    sources: [...new Set(believed.map((w) => witnessSource[w.kind]))],
    contradictions: [...new Set(contradictions)],
  };
}

/** Opened or run, and nothing came: not one litre was counted out before it. */
const isNothing = ({ kind, outBefore }: Witness): boolean =>
  (kind === 'plugDry' || kind === 'ranDry') && outBefore === 0;

interface Told {
  id: string;
  kind: WitnessKind;
  said: Estimate;
  ignored: string | null;
}

/** Does it say anything of what is aboard? @example state.fuel.steps.filter(countsFor) */
export const countsFor = ({ ignored }: Pick<Told, 'ignored'>): boolean => ignored === null;

/**
 * The largest set that can be true together: ranges that share a point share it at the low end of one of them. Most
 * sources first, then the set with the newest witness, then the most witnesses.
 */
function mostBelieved(list: readonly Told[]): Told[] {
  let best: Told[] = [];
  const rank = (set: readonly Told[]): number[] => [
    new Set(set.map((w) => witnessSource[w.kind])).size,
    Math.max(-1, ...set.map((w) => list.indexOf(w))),
    set.length,
  ];
  for (const { said } of list) {
    const set = list.filter((w) => w.said.lo <= said.lo && said.lo <= w.said.hi);
    const [a, b] = [rank(set), rank(best)];
    const first = a.findIndex((value, i) => value !== b[i]);
    if (best.length === 0 || (first >= 0 && a[first]! > b[first]!)) best = set;
  }
  return best;
}

const common = (list: readonly Told[], everything: Estimate): Estimate =>
  list.reduce(
    (sum, { said }) => narrow(sum, said, computed('what the witnesses have in common')),
    list.length > 0 ? list[0]!.said : everything,
  );

/** What a witness of then means now: less what came out since, plus what went in, each counted to ±3 %. */
function carried(witness: Pick<Witness, 'litres' | 'outBefore' | 'inBefore'>, out: number, filled: number): Estimate {
  const gone = out - witness.outBefore;
  const came = filled - witness.inBefore;
  const { lo, typ, hi, basis } = witness.litres;
  if (gone === 0 && came === 0) return witness.litres;
  const counted = (Math.abs(gone) + Math.abs(came)) * COUNT_ERROR;
  return estimate({ lo: lo - gone + came - counted, typ: typ - gone + came, hi: hi - gone + came + counted }, basis);
}
