import { setImmediate } from 'node:timers/promises';
import type { Transaction } from 'sequelize';
import { InputError, refusalOf, refused, type RawEntry, type Refusal, type ShopFigures } from '@iron-cradle/core';
import type { Database } from '../../db/connect.ts';
import { mustBeMadeBy } from '../../people/tokens.ts';
import { inTime } from '../clock.ts';
import type { Shelves } from '../shelves.ts';
import type { Adding } from './adding.ts';
import type { Before, Confirmed } from './before.ts';
import { idOf, mustStandOn, readEntry, refusalOutside, useUp, type Wrong } from './read.ts';

/** What became of each entry of a request. */
export interface Appended {
  /** Entries that have their number now, or had it before. */
  accepted: Confirmed[];
  /** Entries that were refused, with what stands against them. */
  refused: ({ id: string } & Refusal)[];
  /** What can't be read or does not stand on this history: the device keeps it. */
  keptBack: { id: string; errors: Wrong[] }[];
}

/** Entries on their way into a job, as they came over the network. */
export interface Appending {
  /** The job. */
  jobId: string;
  /** The entries, not read yet. */
  entries: unknown[];
  /** Who is signed in on the device that delivers. */
  personId: string;
  /** The token of each entry’s maker, in the order of the entries; `own`: this server made them. */
  tokens: readonly (string | null)[] | 'own';
  /** s the clock of the device that delivers is behind; left out: it did not say. */
  behind?: number;
  /** The shop's figures, brought into every job that is open. */
  figures: ShopFigures;
}

/** After so many entries whoever else asks something gets a word in. */
const BREATH = 20;

/**
 * Appends entries in order, all or none: an entry already there is only confirmed, one that was refused before gets the same answer, one
 * that can't be read is kept back and the others go on.
 *
 * @throws InputError for an id that is none
 * @example (await append(shelves, { jobId, entries, personId: 'ines', tokens, figures })).accepted
 */
export async function append(shelves: Shelves, appending: Appending): Promise<Appended> {
  const { jobId, entries, personId, tokens, figures } = appending;
  const ids = entries.map(idOf);
  let reads: Read[] = [];
  return shelves.together.take({
    jobId,
    ids: [...ids, ...entries.flatMap(takenBackBy)],
    tokens: tokens === 'own' ? [] : tokens,
    ready: () => void (reads = entries.map((raw) => tryRead(raw, jobId))),
    work: async (job, before, transaction) => {
      const result: Appended = { accepted: [], refused: [], keptBack: [] };
      const one = new Coming({ ...appending, reads, db: shelves.db }, { job, before, transaction });
      for (const [i, id] of ids.entries()) {
        if (i % BREATH === BREATH - 1) await setImmediate();
        try {
          const answer = await one.take(id, i);
          if ('owed' in answer) result.refused.push({ id, ...answer });
          else result.accepted.push(answer);
        } catch (error) {
          if (!(error instanceof InputError)) throw error;
          const { field, found, expected } = error;
          result.keptBack.push({ id, errors: [{ field, found, expected }] });
        }
      }
      await job.bringFigures(figures, personId);
      return result;
    },
  });
}

/** An entry as it was read, or what was thrown. */
type Read = RawEntry | Error;

function tryRead(raw: unknown, jobId: string): Read {
  try {
    return readEntry(raw, jobId);
  } catch (error) {
    return error as Error;
  }
}

/** Id of the entry that one takes back, as far as that can be read. */
function takenBackBy(raw: unknown): string[] {
  const { kind, body } = raw as { kind?: unknown; body?: { entry?: unknown } | null };
  return kind === 'takeBack' && typeof body?.entry === 'string' ? [body.entry] : [];
}

/** The entries of a request, one after the other. */
class Coming {
  constructor(
    private asked: Appending & { reads: readonly Read[]; db: Database },
    private to: { job: Adding; before: Before; transaction: Transaction },
  ) {}

  /**
   * One of them: confirmed, or refused.
   *
   * @throws InputError for what is kept back
   */
  async take(id: string, i: number): Promise<Confirmed | Refusal> {
    const { db, jobId, reads, tokens, behind } = this.asked;
    const { job, before, transaction } = this.to;
    const there = before.accepted.get(id);
    if (there && there.jobId !== jobId) throw new InputError('id', id, 'an id that no entry of another job has');
    const known = there?.confirmed ?? before.refused.get(id);
    if (known) return known;
    const read = reads[i]!;
    if (read instanceof Error) throw read;
    mustStandOn(job.state, read);
    const entry = inTime(read, behind, job.state);
    if (tokens !== 'own') mustBeMadeBy(before.makers.get(tokens[i] ?? ''), entry);
    const refusal = await this.whatStandsAgainst(entry);
    if (refusal) {
      job.refuse(id, refusal);
      before.refused.set(id, refusal);
      return refusal;
    }
    const confirmed = await job.add(entry);
    await useUp(db, entry, transaction);
    before.accepted.set(id, { jobId, confirmed });
    return confirmed;
  }

  /** What stands against an entry: that what it takes back was refused, its maker, or the job. */
  private async whatStandsAgainst(read: RawEntry): Promise<Refusal | null> {
    const { db, personId } = this.asked;
    const { job, before, transaction } = this.to;
    if (read.kind === 'takeBack' && before.refused.has((read.body as { entry: string }).entry))
      return refused('what it takes back was refused', 'go on');
    return (await refusalOutside(db, { entry: read, personId, transaction })) ?? refusalOf(job.state, read);
  }
}

/** Brings the shop's figures into every job that is open. @returns their ids */
export async function bringFigures(
  { db, together }: Shelves,
  { figures, by }: { figures: ShopFigures; by: string },
): Promise<string[]> {
  const open = await db.models.Job.findAll({ where: { signed: false }, attributes: ['id'], raw: true });
  const work = (job: Adding) => job.bringFigures(figures, by);
  await Promise.all(open.map(({ id }) => together.take({ jobId: id, ids: [], tokens: [], work })));
  return open.map(({ id }) => id);
}
