import { learned } from '../basis/index.ts';
import type { HangSlice } from '../hang/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import { newest } from './earlier.ts';
import {
  keyOf,
  lineOf,
  obstructionOf,
  type Obstruction,
  type Range,
  type VehicleFile,
  type VehicleSlice,
} from '../vehicle/index.ts';

/** One thing a job taught its vehicle file. */
export interface Lesson {
  /** `slack feed`, `blocks exhaust`, `reach feed-top`, `new new-1`. */
  path: string;
  /** In words: “feed line, slack”. */
  what: string;
  /** The figure that was seen, mm. */
  seen: number;
  /** What the file said; null where it said nothing. */
  before: Range | null;
  /** What it says from now on. */
  after: Range;
}

/** Seen once, a figure is known to about so much; from three times on only what was seen counts. Common practice, no source. */
const ONCE = 0.3;

/**
 * A range from what was seen: once or twice about ±30 % around it, three times and more the least to the most.
 *
 * @param seen figures in mm, oldest first
 * @example rangeFrom([40]) // { lo: 28, typ: 40, hi: 52, basis: learned from 1 job }
 */
export function rangeFrom(seen: readonly number[]): Range {
  const sorted = [...seen].sort((a, b) => a - b);
  const [least, most] = [sorted[0]!, sorted.at(-1)!];
  const middle = sorted[Math.floor((sorted.length - 1) / 2)]!;
  const typ = sorted.length % 2 ? middle : (middle + sorted[sorted.length / 2]!) / 2;
  const round = (mm: number) => Math.round(mm * 10) / 10;
  const basis = learned(seen.length);
  return seen.length >= 3
    ? { lo: least, typ: round(typ), hi: most, basis }
    : { lo: round(least * (1 - ONCE)), typ: round(typ), hi: round(most * (1 + ONCE)), basis };
}

/**
 * A range once more was seen: it never gets wider than it was, unless what was seen lies outside it. From three times on only
 * what was seen counts.
 */
function narrowed(before: Range | null, seen: readonly number[]): Range {
  const range = rangeFrom(seen);
  const inside = before !== null && seen.every((mm) => mm >= before.lo && mm <= before.hi);
  if (!inside || seen.length >= 3) return range;
  const [lo, hi] = [Math.max(before.lo, range.lo), Math.min(before.hi, range.hi)];
  return { ...range, lo, typ: Math.min(hi, Math.max(lo, range.typ)), hi };
}

/**
 * What a job has to teach, line by line: where a line was felt taut or measured, where something held, what nobody had
 * written down, and how high a hand got to a joint. Only what was felt or measured counts, never what was guessed.
 *
 * @example lessons(state).map((l) => l.what) // ['feed line, slack', 'something not in the file']
 */
export function lessons(state: LearningFacts, file: VehicleFile = state.file): Lesson[] {
  return [...slacks(state, file), ...holds(state, file), ...reaches(state, file)];
}

/** What it takes to learn from a job. */
type LearningFacts = Pick<HangSlice, 'felt' | 'extras'> & Pick<LedgerSlice, 'items'> & Pick<VehicleSlice, 'file'>;

const history = (file: VehicleFile, path: string, seen: number): number[] => newest(file.seen?.[path], seen);

function slacks(state: LearningFacts, file: VehicleFile): Lesson[] {
  const felt = new Map(state.felt.map(({ line, mm }) => [line, mm]));
  return [...felt].flatMap(([id, seen]) => {
    const line = lineOf(file, id);
    if (!line) return [];
    const path = `slack ${id}`;
    return [
      {
        path,
        what: `${line.name}, slack`,
        seen,
        before: line.slack,
        after: narrowed(line.slack, history(file, path, seen)),
      },
    ];
  });
}

function holds(state: LearningFacts, file: VehicleFile): Lesson[] {
  return state.extras.map((extra) => {
    const known = obstructionOf(file, extra.id);
    const path = known ? `blocks ${extra.id}` : `new ${extra.id}`;
    return {
      path,
      what: known ? `${known.name}, blocks` : extra.name,
      seen: extra.blocksAt,
      before: known?.blocksAt ?? null,
      after: narrowed(known?.blocksAt ?? null, history(file, path, extra.blocksAt)),
    };
  });
}

/** A joint parted at a height was in reach there: the far end of its reach is no further than that. */
function reaches(state: LearningFacts, file: VehicleFile): Lesson[] {
  return state.items.flatMap((item): Lesson[] => {
    if (item.kind !== 'line' || !item.way) return [];
    const line = file.connections.find((c) => keyOf('line', c.id) === item.key);
    const way = line?.part.find((w) => w.id === item.way);
    const at = Math.round(item.offAt);
    if (!line || !way || way.reachFrom.lo >= way.reachFrom.hi || at >= way.reachFrom.hi) return [];
    const path = `reach ${way.id}`;
    const lo = Math.min(way.reachFrom.lo, at);
    const after = { lo, typ: Math.min(way.reachFrom.typ, at), hi: at, basis: learned(history(file, path, at).length) };
    return [{ path, what: `${line.name}, reached from`, seen: at, before: way.reachFrom, after }];
  });
}

/**
 * The file with the lessons that were taken over; figures seen are kept, so that the third time counts as the third.
 *
 * @example taught(file, lessons(state)).seen // { 'slack feed': [45] }
 */
export function taught(file: VehicleFile, list: readonly Lesson[]): VehicleFile {
  const next = structuredClone(file);
  next.seen = { ...next.seen };
  for (const lesson of list) {
    const [what, id] = [
      lesson.path.slice(0, lesson.path.indexOf(' ')),
      lesson.path.slice(lesson.path.indexOf(' ') + 1),
    ];
    // A new thing gets an id of its own in the file, so that the next job’s first new thing is not taken for it.
    const own = `found-${next.obstructions.filter((o) => o.id.startsWith('found-')).length + 1}`;
    const path = what === 'new' ? `blocks ${own}` : lesson.path;
    next.seen[path] = newest(next.seen[path], lesson.seen);
    if (what === 'slack') {
      const line = lineOf(next, id);
      if (!line) continue;
      line.slack = lesson.after;
      // A clip never takes slack away.
      for (const clip of line.clips)
        clip.slack = {
          ...clip.slack,
          lo: Math.max(clip.slack.lo, lesson.after.lo),
          typ: Math.max(clip.slack.typ, lesson.after.typ),
          hi: Math.max(clip.slack.hi, lesson.after.hi),
        };
    }
    const blocks = what === 'blocks' ? obstructionOf(next, id) : undefined;
    if (blocks) blocks.blocksAt = lesson.after;
    if (what === 'new') next.obstructions.push(found(lesson, own, next));
    if (what === 'reach')
      for (const line of next.connections) for (const way of line.part) if (way.id === id) way.reachFrom = lesson.after;
  }
  return next;
}

/** Something nobody had written down: in the way wherever it is, nobody knows yet how it is cleared best. */
const found = (lesson: Lesson, id: string, file: VehicleFile): Obstruction => {
  const any = { lo: 0, typ: 0, hi: 0 };
  const way = {
    id: `${id}-clear`,
    reachFrom: any,
    reachTo: { lo: 9999, typ: 9999, hi: 9999 },
    minutes: { lo: 5, typ: 15, hi: 40 },
    people: 1,
    hands: 1,
    from: 'outside',
    tools: [],
    after: [],
  };
  const name = lesson.what;
  return {
    id,
    name,
    x: file.length / 2,
    travelsWithTank: false,
    blocksAt: lesson.after,
    clear: [way],
    restore: [way],
  };
};
