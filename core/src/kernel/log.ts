import { InputError } from '../errors/index.ts';
import { checkBodyOf } from './body.ts';
import { refused, type Decided, type RawEntry, type Refusal } from './entry.ts';
import { fold, FoldWhole, type Parts } from './fold.ts';
import { knows, whyNotTakenBack } from './knowledge.ts';
import { headOf } from './order.ts';
import { readAs, type Registry } from './registry.ts';
import type { Kind } from './kind.ts';
import type { KernelState } from './state.ts';

/**
 * Folds on where that can be, else the whole log anew.
 *
 * @param log every entry, what is fresh included
 * @example foldOn(parts, { base: state, log, fresh })
 */
export function foldOn<S extends KernelState>(
  parts: Parts,
  { base, log, fresh }: { base: S | null; log: () => readonly RawEntry[]; fresh: readonly RawEntry[] },
): S | null {
  try {
    return fold<S>(parts, base, fresh);
  } catch (error) {
    if (error instanceof FoldWhole) return fold<S>(parts, null, log());
    throw error;
  }
}

/**
 * What stands against an entry that wants a number; null where it may have one. Facts are never refused.
 *
 * @example refusalIn(parts, state, signed)?.owed
 */
export function refusalIn(parts: Parts, state: KernelState | null, raw: RawEntry): Refusal | null {
  const { kind, entry } = readAs(parts.registry, raw);
  if (!state) return kind.kind === 'opened' ? null : refused('this job has not been opened', 'open the job first');
  if (kind.kind === 'opened') return refused('this job is already open', 'go on in the job as it is');
  if (entry.jobId !== state.jobId) return refused('this entry belongs to another job', 'enter it there');
  const head = headOf(state.heads, entry, kind);
  const closing = state.closedAt === null ? undefined : state.heads[state.closedAt];
  if (closing && state.closedAt !== null && !kind.afterClosing) {
    if (!knows(head, closing, state.closedAt)) return null;
    return refused('the job is signed', 'write it as an addendum, or let the lead reopen the job');
  }
  if (head.names !== null) {
    const why = whyNotTakenBack(state.heads, head, head.names);
    return why === null ? null : refused(why, 'take back what came after it first, or enter what is true now');
  }
  return kind.refuse?.(state as never, entry as never) ?? null;
}

/** What is decided at the moment an entry gets its number; undefined for most kinds. @example decidedIn(parts, state, gate)?.outcomes */
export function decidedIn(parts: Parts, state: KernelState | null, raw: RawEntry): Decided | undefined {
  const { kind, entry } = readAs(parts.registry, raw);
  return state ? kind.decide?.(state as never, entry.body as never) : undefined;
}

/**
 * Checks the body of an entry of a kind, whichever version it was written in: one of an earlier version is checked as it reads now, and stays as
 * it was written, for that is what is hashed.
 *
 * @returns the body without what does not belong; of an earlier version, as it came
 * @throws InputError for an unknown kind, for a version nobody carries to the present one, or with the path of the first field that is wrong
 * @example checkBodyIn(parts, { kind: 'fill', version: 1, body: { litres: 9 } }) // { litres: 9 }
 */
export function checkBodyIn(
  { registry }: Pick<Parts, 'registry'>,
  { kind, version, body }: { kind: string; version: number; body: unknown },
): object {
  const found = registry.get(kind);
  if (!found) throw new InputError('kind', kind, 'a kind of entry this product knows');
  if (version === found.version) return checkBodyOf(found, body);
  const oldest = oldestOf(found);
  if (!(Number.isInteger(version) && version >= oldest && version < found.version))
    throw new InputError('version', String(version), `version ${oldest} to ${found.version} of this kind: reload`);
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    throw new InputError('body', String(body).slice(0, 60), 'what was entered');
  checkBodyOf(found, carried(registry, { kind, version, body }));
  return body;
}

/** The earliest version that is carried to the present one. */
function oldestOf({ version, migrate }: Kind): number {
  let oldest = version;
  while (migrate?.[oldest - 1]) oldest -= 1;
  return oldest;
}

/** As it reads now. A step is written for bodies of its version: what it trips over is none. */
function carried(registry: Registry, raw: Pick<RawEntry, 'kind' | 'version' | 'body'>): unknown {
  try {
    return readAs(registry, raw as RawEntry).entry.body;
  } catch {
    throw new InputError('body', `of version ${raw.version}`, 'what that version of this kind was written with');
  }
}
