import { litres, mm, rounded, say, type Sentence } from '../quantity/index.ts';
import { computed, type Basis } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { estimate, roundTo, type Estimate } from '../estimate/index.ts';
import {
  noTilt,
  shapeLitres,
  trappedFuel,
  type BestTilt,
  type Pocket,
  type Point3,
  type Tilt,
  type Trapped,
} from '../shape/index.ts';
import { estimateOf, type VehicleFile } from '../vehicle/index.ts';

/** A pick-up whose place nobody knows stands this far above the floor, mm; common practice, no source. */
const ABOVE_FLOOR = 10;

/**
 * Where the pick-up takes fuel: as the file says; else above the floor under the feed line, in a lobe where there is one.
 *
 * @example tankOutlet(rail).guessed // true
 */
export function tankOutlet(file: VehicleFile): { at: Point3; guessed: boolean } {
  const { shape, outlet } = file.tank;
  if (outlet) return { at: [outlet.x, outlet.y, outlet.z], guessed: false };
  const feed = file.connections.find((line) => line.kind === 'feed');
  const scale = shape.length / file.length;
  const places: [number, number][] =
    shape.kind === 'box' && shape.sump
      ? [[shape.sump.x, shape.sump.y]]
      : shape.kind === 'lobes'
        ? shape.over === 'x'
          ? [[shape.hump.from / 2, shape.width / 2]]
          : [[shape.length / 2, shape.hump.from / 2]]
        : [
            [(feed?.x ?? file.length / 2) * scale, shape.width / 2],
            [shape.length / 2, shape.width / 2],
          ];
  if (shape.kind !== 'table')
    for (const [x, y] of places)
      for (let z = ABOVE_FLOOR; z < shape.height; z += ABOVE_FLOOR) {
        try {
          trappedFuel(shape, [x, y, z]);
          return { at: [x, y, z], guessed: true };
        } catch (error) {
          if (!(error instanceof InputError)) throw error;
        }
      }
  return { at: [shape.length / 2, shape.width / 2, ABOVE_FLOOR], guessed: true };
}

/**
 * What sills can hold back when nothing stands above them, and how high: nobody who looks into one lobe knows the other.
 *
 * @returns litres as the file’s capacity has them, and mm above the lowest point; nothing for a shape without a sill
 * @example behindSills(file).litres // 0 without a sill
 */
export function behindSills(file: VehicleFile): { litres: number; crest: number } {
  const { shape } = file.tank;
  if (shape.kind === 'table') return { litres: 0, crest: 0 };
  const { pockets, levels } = trappedFuel(shape, tankOutlet(file).at);
  const sills = pockets.filter((p) => p.kind === 'sill');
  const share = sills.reduce((sum, p) => sum + p.litres, 0) / shapeLitres(shape);
  return {
    litres: share * file.tank.litres.hi,
    crest: Math.max(0, ...sills.flatMap((p) => p.cells.map((c) => levels[c]!))),
  };
}

interface Stays {
  /** Litres that stay, and never more than is aboard. */
  litres: Estimate;
  pockets: { litres: Estimate; where: string; kind: Pocket['kind']; at: Point3 }[];
  /** As the geometry has it, for drawing; null for a level table. */
  trapped: Trapped | null;
  basis: Basis;
}

/**
 * What stays when the pick-up takes no more, pocket by pocket: the share from the shape, the litres from the file.
 *
 * @example staysAboard(minibus, exactly(40)).pockets[0]!.where // 'behind the hump'
 */
export function staysAboard(file: VehicleFile, aboard: Estimate, tilt: Tilt = noTilt): Stays {
  const { shape } = file.tank;
  const full = estimateOf(file, file.tank.litres);
  if (shape.kind === 'table') {
    const rest = estimateOf(file, file.tank.unusable);
    return { litres: atMost(rest, aboard), pockets: [], trapped: null, basis: rest.basis };
  }
  const trapped = trappedFuel(shape, tankOutlet(file).at, tilt);
  const basis = computed('what lies below the outlet and behind every sill, through the shape');
  const scaled = (litres: number): Estimate => {
    const share = litres / shapeLitres(shape);
    return atMost(estimate({ lo: share * full.lo, typ: share * full.typ, hi: share * full.hi }, basis), aboard);
  };
  return {
    litres: scaled(trapped.litres),
    pockets: trapped.pockets.map((p) => ({
      litres: scaled(p.litres),
      kind: p.kind,
      at: p.centroid,
      where: p.kind === 'outlet' ? 'under the pick-up' : shape.kind === 'lobes' ? 'behind the hump' : 'behind a sill',
    })),
    trapped,
    basis,
  };
}

const atMost = (a: Estimate, most: Estimate): Estimate => ({
  lo: Math.min(a.lo, most.lo),
  typ: Math.min(a.typ, most.typ),
  hi: Math.min(a.hi, most.hi),
  basis: a.basis,
});

/**
 * How far a tank may be tipped either way, degrees: the file's limit over its length, and as much across.
 *
 * @example tiltReach({ ...file, tiltLimit: 100, length: 1000 }).x // 5.71
 */
export function tiltReach(file: VehicleFile): Tilt {
  const degrees = (Math.atan(file.tiltLimit / file.length) * 180) / Math.PI;
  return { x: degrees, y: degrees };
}

/**
 * The best tilt as a person does it; null when tipping frees nothing worth it.
 *
 * @example tiltSentence(minibus, best) // '4° down to the left brings 4 L over: raise the right end 80 mm'
 */
export function tiltSentence(file: VehicleFile, best: BestTilt): Sentence | null {
  const { shape } = file.tank;
  const share = (best.level - best.stays) / shapeLitres(shape);
  const full = estimateOf(file, file.tank.litres);
  const freed = { lo: share * full.lo, hi: share * full.hi };
  if (share * full.typ < 0.2) return null;
  const part = (degrees: number, run: number, sides: readonly [string, string]) => ({
    degrees: Math.abs(degrees),
    low: sides[degrees > 0 ? 1 : 0],
    high: sides[degrees > 0 ? 0 : 1],
    mm: roundTo(Math.tan((Math.abs(degrees) * Math.PI) / 180) * run, 5),
  });
  const parts = [
    part(best.tilt.x, shape.length, file.ends),
    part(best.tilt.y, shape.width, ['near side', 'far side']),
  ].filter((p) => p.degrees >= 0.3);
  if (parts.length === 0) return null;
  const down = parts.map((p) => `${roundTo(p.degrees, 0.5)}° down to the ${p.low}`).join(' and ');
  const raise = parts.flatMap((p, i) => say`${i > 0 ? ', ' : ''}raise the ${p.high} ${mm(p.mm)}`);
  return say`${down} frees ${rounded(litres, freed, freed.hi < 2 ? 0.1 : 0.5)} more: ${raise}`;
}
