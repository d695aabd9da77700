import {
  checkBodyIn,
  decidedIn,
  fold,
  foldOn,
  readAs,
  refusalIn,
  registryOf,
  type Decided,
  type Kind,
  type Parts,
  type RawEntry,
  type Refusal,
} from '../kernel/index.ts';
import type { EntryKind } from './entry.ts';
import { kinds } from './kinds.ts';
import { slices } from './slices.ts';
import type { JobState } from './state.ts';

const parts: Parts = { registry: registryOf(kinds as readonly Kind[]), slices };

/**
 * The whole present state of a job from its log. It takes entries and nothing else: what a judgement needs of the shop
 * stands in the log. `foldJob(foldJob(null, a), b)` equals `foldJob(null, [...a, ...b])` for every b that takes back or
 * reopens nothing of a.
 *
 * @param base null, or a state folded before
 * @returns null while nothing was opened
 * @throws FoldWhole where b takes back something of a: fold the whole log; UnknownEntry for what this build does not know
 * @example foldJob(null, entries)?.pose // { f: 40, r: 40 }
 */
export const foldJob = (base: JobState | null, entries: readonly RawEntry[]): JobState | null =>
  fold(parts, base, entries);

/**
 * Folds on where that can be, else the whole log.
 *
 * @param log gives the whole log, what is fresh included
 * @example foldJobOn(state, () => log, fresh)
 */
export const foldJobOn = (
  base: JobState | null,
  log: () => readonly RawEntry[],
  fresh: readonly RawEntry[],
): JobState | null => foldOn(parts, { base, log, fresh });

/** What stands against an entry that wants a number; null where it may have one. @example refusalOf(state, entry)?.owed */
export const refusalOf = (state: JobState | null, entry: RawEntry): Refusal | null => refusalIn(parts, state, entry);

/** What is decided at the moment an entry gets its number. @example decidedOf(state, gateEntry)?.outcomes */
export const decidedOf = (state: JobState | null, entry: RawEntry): Decided | undefined =>
  decidedIn(parts, state, entry);

/**
 * Checks the body of an entry against its kind and returns it without what does not belong; one that was written in an earlier version is
 * checked as it reads now and returned as it was written.
 *
 * @throws InputError with the path of the first field that is wrong
 * @example checkBody('fill', { litres: 9 }) // { litres: 9 }
 */
export const checkBody = (kind: string, body: unknown, version = parts.registry.get(kind)?.version ?? 0): object =>
  checkBodyIn(parts, { kind, version, body });

/** Writes into a body what its maker knew: which openings it answers. @example completed(state, 'made', { key: 'line:feed' }) */
export function completed(state: JobState | null, kind: EntryKind, body: object): object {
  const complete = parts.registry.get(kind)?.complete;
  return state && complete ? complete(state as never, body) : body;
}

/** Version a kind is written in now. @throws UnknownEntry for a kind nobody lists @example versionOf('made') // 1 */
export const versionOf = (kind: string): number => kindOf(kind).version;

/** The kind of that name. @throws UnknownEntry for a kind nobody lists @example kindOf('note').version // 1 */
export const kindOf = (kind: string): Kind =>
  parts.registry.get(kind) ?? readAs(parts.registry, { kind, version: 0 } as RawEntry).kind;

/** Is it a kind this build knows? @example isKind('note') // true */
export const isKind = (kind: string): boolean => parts.registry.has(kind);
