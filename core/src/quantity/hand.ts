/**
 * Units of the hand, for a height nobody can put a tape to. Common practice, no source; each is good to ±10 mm.
 */
interface HandUnit {
  word: string;
  /** mm */
  typ: number;
}

/** A measure of the hand is good to so much either way, mm; common practice, no source. */
export const HAND_ERROR = 10;

/** Measures a person carries along; typical figures, common practice, no source. */
export const handUnits: readonly HandUnit[] = [
  { word: 'finger', typ: 20 },
  { word: 'two fingers', typ: 40 },
  { word: 'fist', typ: 100 },
];

/**
 * The unit of the hand within 10 mm of a height, if there is one.
 *
 * @param mm a height in millimetres
 * @example handUnitNear(40) // 'two fingers'
 */
export function handUnitNear(mm: number): string | null {
  let best: HandUnit | null = null;
  for (const unit of handUnits) {
    const off = Math.abs(unit.typ - mm);
    if (off <= HAND_ERROR && (best === null || off < Math.abs(best.typ - mm))) best = unit;
  }
  return best?.word ?? null;
}
