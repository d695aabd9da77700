import { judgeBore } from '../hose/index.ts';
import { threads } from '../thread/index.ts';

/** What a line or a port ends in: a hose by its bore, a pipe or barb by its outside, a thread with its side. */
export type End = { kind: 'hose' | 'pipe'; mm: number } | { kind: 'thread'; name: string; side: 'male' | 'female' };

/** A piece between two ends, as it is bought. */
export interface Piece {
  /** As people call it. */
  name: string;
  /** What it offers on either side. */
  ends: readonly [End, End];
}

/** Barbs and hoses there are, mm; inch sizes under their names. Common practice, no source. */
const SIZES: readonly (readonly [string, number])[] = [
  ['6 mm', 6],
  ['1/4 in', 6.35],
  ['5/16 in', 7.94],
  ['8 mm', 8],
  ['3/8 in', 9.53],
  ['10 mm', 10],
  ['12 mm', 12],
  ['1/2 in', 12.7],
  ['14 mm', 14],
  ['5/8 in', 15.9],
  ['16 mm', 16],
  ['3/4 in', 19.05],
];
/** Threads that adaptors with a barb are made in. */
const BARBED = ['NPT', 'G', 'R', 'flare', 'O-ring boss'] as const;
const METRIC = ['M10 × 1', 'M12 × 1.5', 'M14 × 1.5', 'M16 × 1.5', 'M18 × 1.5'];
/** More pieces than this are no repair: every joint is a place to leak. */
const MOST = 4;

const adaptorThreads = threads.filter(
  ({ name, family }) => (BARBED as readonly string[]).includes(family) || METRIC.includes(name),
);

const pieces: readonly Piece[] = [
  ...SIZES.map(([size, mm]): Piece => ({
    name: `hose ${size}`,
    ends: [
      { kind: 'hose', mm },
      { kind: 'hose', mm },
    ],
  })),
  // Stepped joiners: every size to every other.
  ...SIZES.flatMap(([a, from], i) =>
    SIZES.slice(i + 1).map(([b, to]): Piece => ({
      name: `joiner ${a} to ${b}`,
      ends: [
        { kind: 'pipe', mm: from },
        { kind: 'pipe', mm: to },
      ],
    })),
  ),
  ...adaptorThreads.flatMap(({ name }) =>
    SIZES.flatMap(([size, mm]) =>
      (['male', 'female'] as const).map((side): Piece => ({
        name: `barb ${size} to ${side} ${name}`,
        ends: [
          { kind: 'pipe', mm },
          { kind: 'thread', name, side },
        ],
      })),
    ),
  ),
  // Within a family one size goes into the next: reducers.
  ...adaptorThreads.flatMap((a) =>
    adaptorThreads
      .filter((b) => b.family === a.family && b.name !== a.name)
      .map((b): Piece => ({
        name: `reducer male ${a.name} to female ${b.name}`,
        ends: [
          { kind: 'thread', name: a.name, side: 'male' },
          { kind: 'thread', name: b.name, side: 'female' },
        ],
      })),
  ),
];

/** Do these two go on each other as they are? @example meet({ kind: 'hose', mm: 7.94 }, { kind: 'pipe', mm: 8 }) // true */
export function meet(a: End, b: End): boolean {
  if (a.kind === 'thread' || b.kind === 'thread')
    return a.kind === 'thread' && b.kind === 'thread' && a.name === b.name && a.side !== b.side;
  if (a.kind === b.kind) return false;
  const [hose, pipe] = a.kind === 'hose' ? [a, b] : [b, a];
  return judgeBore(hose.mm, pipe.mm).outcome === 'good';
}

/** By what share a hose and the pipe in it differ. */
const offBy = (a: End, b: End): number => (a.kind === 'thread' || b.kind === 'thread' ? 0 : Math.abs(a.mm / b.mm - 1));

const keyOf = (end: End): string =>
  end.kind === 'thread' ? `${end.side} ${end.name}` : `${end.kind} ${end.mm.toFixed(2)}`;

/**
 * The fewest pieces that bring one end to another; none where they meet as they are, null where no four pieces do. A thread
 * meets its own name alone: what only looks like it is never a way.
 *
 * @example chainBetween({ kind: 'hose', mm: 7.94 }, { kind: 'thread', name: 'NPT 1/4-18', side: 'female' })?.map((p) => p.name)
 * // ['barb 5/16 in to male NPT 1/4-18']
 */
export function chainBetween(from: End, to: End): Piece[] | null {
  let open: { end: End; chain: Piece[]; off: number }[] = [{ end: from, chain: [], off: 0 }];
  const seen = new Set([keyOf(from)]);
  for (let used = 0; used <= MOST; used++) {
    // Of as many pieces those whose sizes are nearest one another.
    const [done] = open
      .filter(({ end }) => meet(end, to))
      .sort((a, b) => a.off + offBy(a.end, to) - b.off - offBy(b.end, to));
    if (done) return done.chain;
    if (used === MOST) return null;
    const next: typeof open = [];
    for (const { end, chain, off } of open)
      for (const piece of pieces)
        for (const [near, far] of [piece.ends, [piece.ends[1], piece.ends[0]] as const]) {
          if (!meet(end, near) || seen.has(keyOf(far))) continue;
          seen.add(keyOf(far));
          next.push({ end: far, chain: [...chain, piece], off: off + offBy(end, near) });
        }
    open = next;
  }
  return null;
}

/** An end in words. @example endInWords({ kind: 'hose', mm: 7.94 }) // 'hose 5/16 in' */
export function endInWords(end: End): string {
  if (end.kind === 'thread') return `${end.side} ${end.name}`;
  const size = SIZES.find(([, mm]) => Math.abs(mm - end.mm) < 0.02)?.[0] ?? `${end.mm} mm`;
  return `${end.kind} ${size}`;
}
