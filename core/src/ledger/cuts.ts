import { commonPractice } from '../basis/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** What is cut and can't be made whole again. */
export const cutKinds = ['hose', 'pipe', 'clamp', 'fastener', 'body', 'wire'] as const;
/** Something that is cut open to get at the tank. */
export type CutKind = (typeof cutKinds)[number];

/** What is tried before each, the gentlest first. Common practice, no source. */
export const triedFirst: Record<CutKind, readonly string[]> = {
  hose: [
    'twisted to break its bond',
    'warm water over it, no flame',
    'a pick with a drop of oil under its edge',
    'parted at its other end',
  ],
  pipe: [
    'penetrant, 20 min soaked',
    'flare spanner, a second one against it',
    'parted at its other end',
    'unclipped further along for more slack',
  ],
  clamp: ['its thread soaked 20 min', 'turned from another side', 'slid along the hose'],
  fastener: [
    'thread brushed, 20 min soaked',
    'tightened a hair first, then back',
    'six-point socket, longer bar',
    'stud held, nut taken off',
  ],
  body: [
    'an access cover under seat or carpet looked for',
    'tank lowered as far as it goes',
    'longer extension, or a wheel off',
    'way past it by a tilt',
  ],
  wire: [
    'its plug looked for further along, in the boot or behind a lamp',
    'its clips undone for more length',
    'the plug pushed out of its shell, pin by pin',
  ],
};

/** Said before every cut. */
export const CUT_CAUTION =
  'Cold cut only: hand saw or shears, no grinder and no drill where fuel or vapour is. Know what lies behind: lines, wires, the tank. The service information of the vehicle comes first.';

/**
 * Is it time to cut? Good once everything gentler was tried, doubtful while something was not: it is named.
 *
 * @param tried entries of `triedFirst` for that kind; others count for nothing
 * @example judgeCut('clamp', []).next[0] // 'try first: its thread soaked 20 min'
 */
export function judgeCut(kind: CutKind, tried: readonly string[]): Verdict {
  const untried = untriedOf(kind, tried);
  if (untried.length === 0)
    return {
      outcome: 'good',
      reasons: [{ text: 'all that is gentler was tried', basis: commonPractice }],
      next: [],
    };
  return {
    outcome: 'doubtful',
    reasons: [
      {
        text: `a cut is not undone, and ${untried.length} of ${triedFirst[kind].length} were not tried`,
        basis: commonPractice,
      },
    ],
    next: untried.map((what) => `try first: ${what}`),
  };
}

/** What was not tried yet. @example untriedOf('clamp', ['slid along the hose']).length // 2 */
export const untriedOf = (kind: CutKind, tried: readonly string[]): string[] =>
  triedFirst[kind].filter((what) => !tried.includes(what));

/** Key under which what was cut is owed until it is made good. @example cutKey('e12') // 'cut:e12' */
export const cutKey = (entryId: string): string => `cut:${entryId}`;
