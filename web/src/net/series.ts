/** Readings with the s since the first of them, and when that was. */
export interface Series {
  /** In the order they came. */
  readings: [seconds: number, value: number][];
  /** ms since the epoch of the first reading; null: none came yet. */
  began: number | null;
}

/** Before the first reading. */
export const NO_SERIES: Series = { readings: [], began: null };

/** The same with one reading more. @example oneMoreOf(NO_SERIES, { at: 1000, value: 40 }).readings // [[0, 40]] */
export function oneMoreOf({ readings, began }: Series, { at, value }: { at: number; value: number }): Series {
  const start = began ?? at;
  return { readings: [...readings, [(at - start) / 1000, value]], began: start };
}
