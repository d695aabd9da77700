import type { HoldJudged } from './types.ts';

/** What a hold looks like against time: the line through it, its band, and the limit hole from the same start. */
export interface HoldTrace {
  /** s */
  at: number;
  /** Pa: the line, and the ends of what is certain. */
  line: { lo: number; typ: number; hi: number };
  /** Pa: through the limit hole, slowest and fastest. */
  limit: { lo: number; hi: number };
}

/**
 * The lines to draw a hold by.
 *
 * @param until s
 * @param points how many, two or more
 * @returns empty where no line could be laid
 * @example traceOf(judged, 40).at(-1)?.line.typ
 */
export function traceOf({ fall, from }: HoldJudged, until: number, points = 41): HoldTrace[] {
  if (!fall || from === null) return [];
  return Array.from({ length: points }, (_, i) => {
    const at = (until * i) / (points - 1);
    const after = (slope: number) => Math.max(0, from - slope * at) ** 2;
    return {
      at,
      line: { lo: after(fall.hi), typ: after(fall.typ), hi: after(fall.lo) },
      limit: { lo: after(fall.limit.hi), hi: after(fall.limit.lo) },
    };
  });
}
