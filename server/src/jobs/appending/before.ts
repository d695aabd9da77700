import type { Transaction } from 'sequelize';
import type { Decided, RawEntry, Refusal } from '@iron-cradle/core';
import type { Database } from '../../db/connect.ts';
import { statement } from '../../db/statement.ts';
import { makersOf, type Maker } from '../../people/tokens.ts';
import { KNOWN, type Known } from './statements.ts';

/** What a device hears of an entry that has its number. */
export type Confirmed = Pick<RawEntry, 'id' | 'seq' | 'received' | 'behind' | 'decided' | 'hash'>;

/** What was known before of entries that come in, by their ids; whoever adds one adds it here. */
export interface Before {
  /** Entries that have their number, with the job they are of. */
  accepted: Map<string, { jobId: string; confirmed: Confirmed }>;
  /** Entries that were refused. */
  refused: Map<string, Refusal>;
  /** Who stands behind a token. */
  makers: Map<string, Maker>;
}

/** What a device hears of an entry in its row. */
export const confirmed = ({
  id,
  seq,
  received,
  hash,
  behind,
  decided,
}: Omit<Known, 'jobId' | 'refusal'>): Confirmed => ({
  id,
  seq,
  received,
  hash,
  ...(behind === null ? {} : { behind }),
  ...(decided === null ? {} : { decided: JSON.parse(decided) as Decided }),
});

/** Reads what is known of ids and tokens, of all that come together at once. @example (await readBefore(db, { ids, tokens }, transaction)).refused */
export async function readBefore(
  db: Database,
  { ids, tokens }: { ids: readonly string[]; tokens: readonly (string | null)[] },
  transaction: Transaction,
): Promise<Before> {
  const known = (): Promise<Known[]> =>
    ids.length === 0 ? Promise.resolve([]) : statement(transaction, KNOWN, [ids, ids]);
  // One after the other on their connection; none waits here for the answer to the one before.
  const [rows, makers] = await Promise.all([known(), makersOf(db, tokens, transaction)]);
  return {
    accepted: new Map(
      rows.flatMap(({ jobId, ...row }) =>
        row.refusal === null ? [[row.id, { jobId, confirmed: confirmed(row) }]] : [],
      ),
    ),
    refused: new Map(
      rows.flatMap(({ id, refusal }) => (refusal === null ? [] : [[id, JSON.parse(refusal) as Refusal]])),
    ),
    makers,
  };
}
