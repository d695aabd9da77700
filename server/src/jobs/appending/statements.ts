import { placesFor } from '../../db/statement.ts';
import type { Chained } from '../chain.ts';

const STAND = 'SELECT id, number, last_seq AS lastSeq, last_hash AS lastHash FROM jobs WHERE id IN (?)';

/** Where one job stands, held until the transaction ends. */
export const HEAD = `${STAND} FOR UPDATE`;

/** The same of several, in one order for all. One that somebody else holds is left out. */
export const HEADS = `${STAND} ORDER BY id FOR UPDATE SKIP LOCKED`;

/** Which jobs there are, held or not. */
export const THERE = 'SELECT id FROM jobs WHERE id IN (?)';

/** What came before: an id is among the entries or among what was refused. */
export const KNOWN = `
  SELECT id, job_id AS jobId, seq, received, hash, behind, decided, NULL AS refusal FROM entries WHERE id IN (?)
  UNION ALL SELECT id, job_id, 0, '', '', NULL, NULL, refusal FROM refusals WHERE id IN (?)`;

/** A row of what came before. */
export type Known = Pick<Chained, 'id' | 'jobId' | 'seq' | 'received' | 'hash' | 'behind' | 'decided'> & {
  /** JSON text; null: it was taken. */
  refusal: string | null;
};

/** Jobs, some of them new. */
export const putJobs = (rows: number): string => `
  INSERT INTO jobs (last_seq, last_hash, signed, touched, id, number, summary) VALUES ${placesFor(rows, 7)}
  ON DUPLICATE KEY UPDATE
    last_seq = VALUES(last_seq), last_hash = VALUES(last_hash), signed = VALUES(signed), touched = VALUES(touched)`;

/** One that is there already, alone: half the work. */
export const PUT_JOB = 'UPDATE jobs SET last_seq = ?, last_hash = ?, signed = ?, touched = ? WHERE id = ?';

/** Entries of any jobs. */
export const putEntries = (rows: number): string => `
  INSERT INTO entries
    (id, job_id, seq, version, kind, body, \`by\`, device, n, at, on_id, said, decided, received, behind, hash)
  VALUES ${placesFor(rows, 16)}`;

/** Of an entry, in the order of its columns. */
export const valuesOf = (row: Chained): unknown[] => [
  row.id,
  row.jobId,
  row.seq,
  row.version,
  row.kind,
  row.body,
  row.by,
  row.device,
  row.n,
  row.at,
  row.onId,
  row.said,
  row.decided,
  row.received,
  row.behind,
  row.hash,
];
