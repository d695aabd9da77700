import { shareAt } from '../shape/index.ts';
import { estimateOf, type Sender, type VehicleFile } from '../vehicle/index.ts';
import { senderFamilies } from './families.ts';

/** What a sender reads at its stops, Ω. */
export interface Stops {
  /** Least and most at empty. */
  empty: { lo: number; typ: number; hi: number };
  /** Least and most at full. */
  full: { lo: number; typ: number; hi: number };
}

/** A sound sender reads so near to the figures of its family, share of the span; common practice, no source. */
const FAMILY_SPREAD = 0.05;

/**
 * What the sender of a file reads at its stops: as the file says, or as the family somebody named; null where neither is
 * known.
 *
 * @example stopsOf({ emptyOhms: { lo: 78, typ: 80, hi: 82 }, fullOhms: { lo: 19, typ: 20, hi: 21 } })?.full.typ // 20
 */
export function stopsOf(sender: Pick<Sender, 'emptyOhms' | 'fullOhms'> | null, named?: string): Stops | null {
  if (sender) return { empty: sender.emptyOhms, full: sender.fullOhms };
  const family = senderFamilies.find((f) => f.name === named);
  if (!family) return null;
  const spread = Math.abs(family.full - family.empty) * FAMILY_SPREAD;
  const around = (typ: number) => ({ lo: Math.max(0, typ - spread), typ, hi: typ + spread });
  return { empty: around(family.empty), full: around(family.full) };
}

/**
 * Height of the float that reads so many ohms: through the measured curve, else straight between the stops over the
 * height of the tank. mm, kept inside the travel.
 *
 * @example heightAt(file, 50) // half way for a sender of 80 to 20
 */
export function heightAt(
  file: Pick<VehicleFile, 'sender' | 'tank'>,
  ohms: number,
  stops: Stops | null = stopsOf(file.sender),
): number | null {
  const curve = file.sender?.curve ?? [];
  const { height } = file.tank.shape;
  if (curve.length >= 2) return alongCurve(curve, ohms);
  if (!stops) return null;
  const span = stops.full.typ - stops.empty.typ;
  return span === 0 ? null : height * Math.min(1, Math.max(0, (ohms - stops.empty.typ) / span));
}

/** Between the two points of the curve on either side of it; its ends where it lies beyond. */
function alongCurve(curve: readonly { mm: number; ohms: number }[], ohms: number): number {
  const [first, last] = [curve[0]!, curve.at(-1)!];
  for (let i = 1; i < curve.length; i++) {
    const [a, b] = [curve[i - 1]!, curve[i]!];
    const along = (ohms - a.ohms) / (b.ohms - a.ohms || Number.NaN);
    if (along >= 0 && along <= 1) return a.mm + along * (b.mm - a.mm);
  }
  return Math.abs(ohms - first.ohms) <= Math.abs(ohms - last.ohms) ? first.mm : last.mm;
}

/**
 * Litres below a height of the float, level: through the shape of the tank. L
 *
 * @example litresAt(rail, 140) // about half of what it holds
 */
export const litresAt = (file: VehicleFile, mm: number): number =>
  shareAt(file.tank.shape, mm) * estimateOf(file, file.tank.litres).typ;

/**
 * How far wrong a gauge is, litres, where the float sits lower by so many mm than its ohms say: a bent arm, a filling float.
 * Neither shows in the ohms at the stops.
 *
 * @param lower mm by which the float is lower at both stops; less than zero: higher
 * @example bentArm(file, { mm: 140, lower: 20 }) // litres it reads too many
 */
export const bentArm = (file: VehicleFile, { mm, lower }: { mm: number; lower: number }): number =>
  litresAt(file, mm) - litresAt(file, mm - lower);
