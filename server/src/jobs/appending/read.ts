import type { Transaction } from 'sequelize';
import {
  checkBody,
  InputError,
  isKind,
  jobFileSchema,
  refused,
  type JobState,
  type RawEntry,
  type Refusal,
} from '@iron-cradle/core';
import type { Database } from '../../db/connect.ts';
import { bySchema } from '../../http/bySchema.ts';

/** One thing that is wrong with an entry. */
export interface Wrong {
  /** Path of the field. */
  field: string;
  /** What stood there. */
  found: string;
  /** What would have been right. */
  expected: string;
}

/** The id of an entry. @throws InputError for what is none */
export function idOf(raw: unknown): string {
  const id = (raw as { id?: unknown } | null)?.id;
  if (typeof id !== 'string' || !/^[\w-]{2,60}$/.test(id))
    throw new InputError('entries.id', String(id), 'an id of 2 to 60 letters, digits and dashes');
  return id;
}

const needs = (ok: boolean, { field, found, expected }: { field: string; found: unknown; expected: string }): void => {
  if (!ok) throw new InputError(field, String(found).slice(0, 60), expected);
};
const isWord = (value: unknown): value is string => typeof value === 'string' && /^[\w-]{1,60}$/.test(value);

const { by, device, n, at, on, said } = jobFileSchema.properties.entries.items.properties;
/** That the outside of an entry finds room, by the published schema. */
const outside = bySchema({ type: 'object', properties: { by, device, n, at, on, said } });

/**
 * Reads the outside of an entry and its body, as far as that can be told without its job.
 *
 * @throws InputError naming the first field that is wrong
 * @example readEntry({ id, kind: 'note', version: 1, body: { text: 'rust' }, by: 'ines', … }, 'job-17').body
 */
export function readEntry(raw: unknown, jobId: string): RawEntry {
  const { kind, version, at, by, device, n, on, body, said } = raw as Record<string, unknown>;
  needs(typeof kind === 'string' && isKind(kind), {
    field: 'kind',
    found: kind,
    expected: 'a kind of entry this server knows: update the application',
  });
  needs(typeof at === 'string' && !Number.isNaN(Date.parse(at)), {
    field: 'at',
    found: at,
    expected: 'a time: check the clock of this device',
  });
  needs(isWord(by), { field: 'by', found: by, expected: 'somebody who works here' });
  needs(isWord(device) && device !== 'server', { field: 'device', found: device, expected: 'the id of a device' });
  needs(Number.isInteger(n), { field: 'n', found: n, expected: 'a whole number' });
  needs(on === null || isWord(on), {
    field: 'on',
    found: on,
    expected: 'the newest entry of the server this device held',
  });
  outside(raw);
  return {
    id: idOf(raw),
    jobId,
    version: version as number,
    kind: kind as string,
    // What a tablet that was away over an update holds was right when it was written.
    body: checkBody(kind as string, body, version as number),
    by: by as string,
    device: device as string,
    n: n as number,
    at: at as string,
    on: on as string | null,
    ...(said === undefined ? {} : { said: said as { by: string; at: string } }),
  };
}

/**
 * Does an entry stand on its job as it is: counted on after its device's last, made over what this server holds?
 *
 * @throws InputError naming which of the two is wrong
 */
export function mustStandOn(state: JobState | null, { device, n, on }: Pick<RawEntry, 'device' | 'n' | 'on'>): void {
  const before = state?.heads.findLast((head) => head.device === device)?.n ?? 0;
  needs(n > before, { field: 'n', found: n, expected: `a count above ${before}` });
  const held = on === null || state?.heads.findLast((head) => head.id === on && head.seq !== null);
  needs(Boolean(held), {
    field: 'on',
    found: on,
    expected: 'an entry this server holds: its history may have been put back',
  });
}

/** What the lead allowed is done within so long, ms. */
const ALLOWED_FOR = 15 * 60_000;

/** Kinds that only the one who did it may deliver. */
const own = ['signed', 'exception', 'countersigned', 'reopened'];

/** What stands against an entry outside its job: who delivers it, what the lead allowed. */
export async function refusalOutside(
  db: Database,
  { entry, personId, transaction }: { entry: RawEntry; personId: string; transaction: Transaction },
): Promise<Refusal | null> {
  if (own.includes(entry.kind) && entry.by !== personId)
    return refused('somebody else is signed in on this device', 'sign in as the one who did it, then deliver');
  const late = entry.kind === 'settled' && (entry.body as { key: string }).key === 'late';
  const leads = entry.kind === 'reopened' || late;
  if (leads && (await db.models.Person.findByPk(entry.by, { transaction }))?.role !== 'lead')
    return refused('only the lead opens a signed job again or lets what came late stand', 'ask the lead');
  if (entry.kind !== 'exception') return null;
  const { gate, item, lead, approval } = entry.body as { gate: number; item: string; lead: string; approval: string };
  const given = await db.models.Approval.findByPk(approval, { transaction });
  const fits =
    given && given.jobId === entry.jobId && given.lead === lead && given.gate === gate && given.item === item;
  const ask = 'let the lead type their PIN on this device';
  if (!fits) return refused('the lead has not allowed this exception', ask);
  if (given.usedBy !== null && given.usedBy !== entry.id)
    return refused('what the lead allowed was used once already', ask);
  const made = Date.parse(entry.at) + (entry.behind ?? 0) * 1000;
  return Math.abs(made - given.given.getTime()) > ALLOWED_FOR
    ? refused('what the lead allowed is too long ago', ask)
    : null;
}

/** What the lead allowed is used up by the entry it was allowed for. */
export async function useUp(db: Database, entry: RawEntry, transaction: Transaction): Promise<void> {
  if (entry.kind !== 'exception') return;
  const { approval } = entry.body as { approval: string };
  await db.models.Approval.update({ usedBy: entry.id }, { where: { id: approval }, transaction });
}
