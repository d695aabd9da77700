import { computed } from '../basis/index.ts';
import type { Estimate } from '../estimate/index.ts';
import { clamp, contradict, estimate, narrow } from '../estimate/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import { COUNT_ERROR, witnessSource, witnessWord, type WitnessKind } from './witness.ts';

/** One witness as it stands in the log: what it said and how much had come out or gone in by then (litres). */
export interface Witness {
  id: string;
  kind: WitnessKind;
  reading: number | null;
  litres: Estimate;
  outBefore: number;
  inBefore: number;
}

export interface FuelAboard {
  /** Litres aboard now. */
  aboard: Estimate;
  /** How the range narrowed, witness by witness, each carried to now. */
  steps: { id: string; kind: WitnessKind; said: Estimate; together: Estimate; agrees: boolean; counts: boolean }[];
  /** Sources that agree; two are needed before the supports come off. */
  sources: string[];
  /** Pairs that contradict each other, in words. */
  contradictions: string[];
}

/**
 * Litres aboard from all witnesses together. Each is carried to now by what was counted out and in since; a witness
 * that leaves no common value with the others is named and left out, the newer of the two counts.
 *
 * @param out litres counted into containers so far
 * @param filled litres put in so far
 * @param senderSuspect the sender is the complaint: what reads it is shown and does not count
 * @example fuelAboard(rail, [half], 20, 0).aboard // what half a gauge means after 20 L came out
 */
export function fuelAboard(
  file: VehicleFile,
  witnesses: readonly Witness[],
  out: number,
  filled: number,
  senderSuspect = false,
): FuelAboard {
  const capacity = file.tank.litres;
  const everything = estimate(0, capacity.typ / 2, capacity.hi, { kind: file.basis });
  let together: Estimate = everything;
  const steps: FuelAboard['steps'] = [];
  const contradictions: string[] = [];
  let agreeing: { kind: WitnessKind; said: Estimate }[] = [];
  for (const witness of witnesses) {
    const said = clamp(carried(witness, out, filled), 0, capacity.hi);
    if (senderSuspect && witnessSource[witness.kind] === 'sender') {
      steps.push({ id: witness.id, kind: witness.kind, said, together, agrees: true, counts: false });
      continue;
    }
    const against = agreeing.filter((other) => contradict(other.said, said));
    if (against.length > 0 || contradict(together, said)) {
      for (const other of against)
        contradictions.push(`${witnessWord[other.kind]} and ${witnessWord[witness.kind]} do not agree`);
      if (against.length === 0) contradictions.push(`${witnessWord[witness.kind]} does not fit the others together`);
      // The newest look at the tank is worth more than an older one that it cannot be true with.
      agreeing = agreeing.filter((other) => !contradict(other.said, said));
      together = agreeing.reduce((sum, other) => narrowOr(sum, other.said), said);
    } else together = narrow(together, said, computed('what the witnesses have in common'));
    agreeing.push({ kind: witness.kind, said });
    steps.push({ id: witness.id, kind: witness.kind, said, together, agrees: against.length === 0, counts: true });
  }
  const sources = [...new Set(agreeing.map((w) => witnessSource[w.kind]))];
  const aboard =
    agreeing.length > 0
      ? together
      : clamp(carried({ litres: everything, outBefore: 0, inBefore: 0 }, out, filled), 0, capacity.hi);
  return { aboard, steps, sources, contradictions };
}

const narrowOr = (a: Estimate, b: Estimate): Estimate =>
  contradict(a, b) ? a : narrow(a, b, computed('what the witnesses have in common'));

/** What a witness of then means now: less what came out since, plus what went in, each counted to ±3 %. */
function carried(witness: Pick<Witness, 'litres' | 'outBefore' | 'inBefore'>, out: number, filled: number): Estimate {
  const gone = out - witness.outBefore;
  const came = filled - witness.inBefore;
  const { lo, typ, hi, basis } = witness.litres;
  if (gone === 0 && came === 0) return witness.litres;
  return estimate(
    lo - gone * (1 + COUNT_ERROR) + came * (1 - COUNT_ERROR),
    typ - gone + came,
    hi - gone * (1 - COUNT_ERROR) + came * (1 + COUNT_ERROR),
    basis,
  );
}
