import { commonPractice, computed, measured } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import type { Estimate } from '../estimate/index.ts';
import { clamp, contradict, estimate, narrow } from '../estimate/index.ts';
import { fuels } from '../fluid/index.ts';
import { estimateOf, type VehicleFile } from '../vehicle/index.ts';

export type WitnessKind = 'gauge' | 'scan' | 'sinceEmpty' | 'dip' | 'levelSeen' | 'weight' | 'plugDry' | 'ranDry';

/** Two witnesses of one source are one: gauge and scan tool both read the sender. */
export const witnessSource: Record<WitnessKind, string> = {
  gauge: 'sender',
  scan: 'sender',
  sinceEmpty: 'litres put in since empty',
  dip: 'level',
  levelSeen: 'level',
  weight: 'weight',
  plugDry: 'drain plug',
  ranDry: 'pick-up',
};

export const witnessWord: Record<WitnessKind, string> = {
  gauge: 'gauge',
  scan: 'scan tool',
  sinceEmpty: 'put in since empty',
  dip: 'dipped',
  levelSeen: 'level seen',
  weight: 'weighed',
  plugDry: 'plug open and dry',
  ranDry: 'pump or siphon ran dry',
};

/** A needle is read to an eighth of the scale either way; common practice, no source. */
export const GAUGE_ERROR = 0.125;
/** A dip or a level seen through the wall, mm either way; common practice, no source. */
export const LEVEL_ERROR = 8;
/** Weighing a tank on a shop scale with what hangs from it, kg either way; common practice, no source. */
export const WEIGHT_ERROR = 1;
/** Litres read off a container or counted, share either way; common practice, no source. */
export const COUNT_ERROR = 0.03;

/**
 * Litres aboard that one witness stands for.
 *
 * @param reading gauge and scan: share of full, 0 to 1; sinceEmpty: litres; dip and levelSeen: mm above the floor;
 *   weight: kg of tank with fuel; plugDry and ranDry: no reading
 * @throws InputError when the reading cannot be
 * @example witnessLitres(rail, 'gauge', 0.5) // 22.5 … 81 L for a tank of 60–130 L
 */
export function witnessLitres(file: VehicleFile, kind: WitnessKind, reading: number | null): Estimate {
  const capacity = estimateOf(file, file.tank.litres);
  const { height } = file.tank.shape;
  switch (kind) {
    case 'gauge':
    case 'scan': {
      const share = within(reading, 0, 1, kind, 'a share of full between 0 and 1');
      const lo = Math.max(0, share - GAUGE_ERROR) * capacity.lo;
      const hi = Math.min(1, share + GAUGE_ERROR) * capacity.hi;
      return estimate(lo, Math.min(hi, Math.max(lo, share * capacity.typ)), hi, commonPractice);
    }
    case 'sinceEmpty': {
      const litres = within(reading, 0, capacity.hi, kind, `0 to ${capacity.hi} L, what the tank can hold`);
      const unusable = estimateOf(file, file.tank.unusable);
      return estimate(
        litres * (1 - COUNT_ERROR),
        litres + unusable.typ,
        litres * (1 + COUNT_ERROR) + unusable.hi,
        measured,
      );
    }
    case 'dip':
    case 'levelSeen': {
      const level = within(reading, 0, height, kind, `0 to ${height} mm, the height of the tank`);
      const share = (mm: number) => Math.min(1, Math.max(0, mm / height));
      return estimate(
        share(level - LEVEL_ERROR) * capacity.lo,
        share(level) * capacity.typ,
        share(level + LEVEL_ERROR) * capacity.hi,
        computed('level through the shape of the tank'),
      );
    }
    case 'weight': {
      const empty = estimateOf(file, file.tank.emptyMass);
      const { density } = fuels[file.fuel];
      const heaviest = empty.hi + capacity.hi * density.hi;
      const kg = within(reading, 0, heaviest, kind, `0 to ${Math.round(heaviest)} kg`);
      const litres = (mass: number, d: number) => Math.max(0, mass / d);
      return estimate(
        litres(kg - WEIGHT_ERROR - empty.hi, density.hi),
        litres(kg - empty.typ, density.typ),
        litres(kg + WEIGHT_ERROR - empty.lo, density.lo),
        computed('weight less the empty tank, by density'),
      );
    }
    case 'plugDry':
    case 'ranDry':
      return { ...estimateOf(file, { ...file.tank.unusable, lo: 0 }) };
  }
}

function within(reading: number | null, lo: number, hi: number, field: string, expected: string): number {
  if (reading === null || !Number.isFinite(reading) || reading < lo || reading > hi)
    throw new InputError(field, reading === null ? '' : String(reading), expected);
  return reading;
}

/** One witness as it stands in the log: what it said and how much had come out or gone in by then (litres). */
export interface Witness {
  id: string;
  kind: WitnessKind;
  litres: Estimate;
  outBefore: number;
  inBefore: number;
}

export interface FuelAboard {
  /** Litres aboard now. */
  aboard: Estimate;
  /** How the range narrowed, witness by witness, each carried to now. */
  steps: { id: string; kind: WitnessKind; said: Estimate; together: Estimate; agrees: boolean }[];
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
 * @example fuelAboard(rail, [half], 20, 0).aboard // what half a gauge means after 20 L came out
 */
export function fuelAboard(file: VehicleFile, witnesses: readonly Witness[], out: number, filled: number): FuelAboard {
  const capacity = file.tank.litres;
  const everything = estimate(0, capacity.typ / 2, capacity.hi, { kind: file.basis });
  let together: Estimate = everything;
  const steps: FuelAboard['steps'] = [];
  const contradictions: string[] = [];
  let agreeing: { kind: WitnessKind; said: Estimate }[] = [];
  for (const witness of witnesses) {
    const said = clamp(carried(witness, out, filled), 0, capacity.hi);
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
    steps.push({ id: witness.id, kind: witness.kind, said, together, agrees: against.length === 0 });
  }
  const sources = [...new Set(agreeing.map((w) => witnessSource[w.kind]))];
  const aboard =
    witnesses.length > 0
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

/** Share of the tank's height at which this many litres stand, for a level box. */
export const levelShare = (file: VehicleFile, litres: number): number =>
  Math.min(1, Math.max(0, litres / file.tank.litres.typ));
