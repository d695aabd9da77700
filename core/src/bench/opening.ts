import { commonPractice } from '../basis/index.ts';
import type { UnitKind } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';

/** One rung of the ladder by which a ring comes open, the gentlest first. */
export interface Rung {
  /** Its id. */
  id: RungId;
  /** What is done. */
  name: string;
  /** How, and what to watch. */
  how: string;
  /** Minutes it wants before it is tried, that use no hands; 0: none. */
  waits: number;
  /** A caution where the hand is about to move. */
  caution: string | null;
  /** For these ways of closing. */
  for: readonly UnitKind[];
}

/** Rungs. */
export const rungIds = ['clean', 'soak', 'tool', 'drift', 'wider', 'steel', 'drill'] as const;
/** One of them. */
export type RungId = (typeof rungIds)[number];

const all: readonly UnitKind[] = ['ring', 'collar', 'screws', 'sender', 'pickup'];
const turned: readonly UnitKind[] = ['ring', 'collar', 'sender', 'pickup'];

/** Common practice, no source. */
const rungs: readonly Rung[] = [
  {
    id: 'clean',
    name: 'Clean its top',
    how: 'Brush, vacuum, air: what lies there falls in once it is open.',
    waits: 0,
    caution: null,
    for: all,
  },
  {
    id: 'soak',
    name: 'Soak it',
    how: 'Penetrating oil all round, into every tab or thread.',
    waits: 20,
    caution: null,
    for: all,
  },
  {
    id: 'tool',
    name: 'Ring tool',
    how: 'On all tabs at once, steady. It slips on plastic and may not move a rusted ring.',
    waits: 0,
    caution: null,
    for: turned,
  },
  {
    id: 'drift',
    name: 'Brass or wooden drift',
    how: 'Tapped evenly from tab to tab, round and round.',
    waits: 0,
    caution: 'Nothing that sparks. A tip that breaks off is counted as put in.',
    for: turned,
  },
  {
    id: 'wider',
    name: 'A wider drift',
    how: 'More of the tab at a time, after another soak.',
    waits: 20,
    caution: 'A tab that bends gives a new ring.',
    for: turned,
  },
  {
    id: 'steel',
    name: 'Steel on steel',
    how: 'Practised, and the riskier way near vapour.',
    waits: 0,
    caution:
      'Only once the tank is purged and the air measured; the gentler rungs first. Licensed practice and local codes come first.',
    for: turned,
  },
  {
    id: 'drill',
    name: 'Extractor, then drill',
    how: 'A stripped screw: soak, extractor, which often fails; then drill, the opening plugged and a magnet by the drill.',
    waits: 20,
    caution: 'Ask first whether a spark is allowed. Chips are counted out.',
    for: ['screws'],
  },
];

/** The ladder of this way of closing, the gentlest first. @example ladderOf('screws').map((rung) => rung.id) // ['clean', 'soak', 'drill'] */
export const ladderOf = (kind: UnitKind): Rung[] => rungs.filter((rung) => rung.for.includes(kind));

/**
 * What to try next: the gentlest rung nobody tried; a riskier one before it is a look, steel before all others a halt.
 *
 * @param tried rungs that were tried and did not open it
 * @example nextRung('ring', ['clean', 'soak'])?.id // 'tool'
 */
export const nextRung = (kind: UnitKind, tried: readonly RungId[]): Rung | null =>
  ladderOf(kind).find(({ id }) => !tried.includes(id)) ?? null;

/**
 * May this rung be tried now? Gentler ones first; what is riskier before them says what was left out.
 *
 * @example judgeRung('ring', 'steel', ['clean']).outcome // 'bad': soak, tool and drift first
 */
export function judgeRung(kind: UnitKind, id: RungId, tried: readonly RungId[]): Verdict {
  const ladder = ladderOf(kind);
  const at = ladder.findIndex((rung) => rung.id === id);
  const before = ladder.slice(0, at).filter((rung) => !tried.includes(rung.id));
  const rung = ladder[at];
  const risky = id === 'steel' || id === 'drill';
  if (before.length === 0)
    return {
      outcome: risky ? 'doubtful' : 'good',
      reasons: [{ text: rung?.caution ?? rung?.how ?? '', basis: commonPractice }],
      next: [],
    };
  return {
    outcome: risky ? 'bad' : 'doubtful',
    reasons: [
      { text: `not tried before: ${before.map(({ name }) => name.toLowerCase()).join(', ')}`, basis: commonPractice },
    ],
    next: [`${before[0]!.name.toLowerCase()} first`],
  };
}

/** What is watched as the unit is lifted out; common practice, no source. */
export const LIFT_OUT = [
  'springs lift it: hold it down until the ring is off',
  'the float arm comes out last, turned, never pulled',
  'tip the fuel out of its bucket over the tank before it comes over the edge',
] as const;
