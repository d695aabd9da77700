import { readFileSync } from 'node:fs';
import { InputError, standingOf, type JobFile, type Standing } from '@iron-cradle/core';
import { unzipJob } from '../record/zip.ts';
import { rowOf, verifyChain } from '../jobs/chain.ts';
import { fingerprintOf } from '../sealing/key.ts';
import { mustBeSealed } from '../sealing/seals.ts';

/** What a file that was handed on says of itself. */
export interface FileChecked {
  /** Number the job had in its shop. */
  number: number;
  /** Entries whose chain holds. */
  entries: number;
  /** Hash of the last: the same stands, as a code, on the record. */
  last: string;
  /** Shop it says it comes from. */
  shop: string;
  /** Who vouches for it, and how far. */
  standing: Standing;
}

/**
 * Walks the chain of a job file, of a zip with one in it, or of the one attached to a PDF record.
 *
 * @param own fingerprint of this shop's key, where it is at hand
 * @throws InputError for what is none, one whose chain does not hold, or one with a seal that does not fit
 * @example (await verifyFile('job-17.json')).entries // 212
 */
export async function verifyFile(path: string, own: string | null = null): Promise<FileChecked> {
  const bytes = readFileSync(path);
  const file = (await jobIn(bytes, path)) as Partial<JobFile> | null;
  if (file?.format !== 'iron-cradle-job' || !Array.isArray(file.entries) || !file.job)
    throw new InputError('file', path, 'a job file, a zip or a PDF record with one in it');
  const log = file.entries.map((entry) => ({ ...rowOf(entry), hash: entry.hash }));
  const chain = verifyChain(log);
  if (chain.brokenAt !== null)
    throw new InputError(`entry ${chain.brokenAt}`, 'changed, or one before it is missing', 'a log whose chain holds');
  const seals = file.seals ?? [];
  mustBeSealed(file.job.id, log, seals);
  return {
    standing: standingOf({
      holds: true,
      length: chain.length,
      broughtIn: 0,
      seals: seals.map(({ seq, at, publicKey }) => {
        const fingerprint = fingerprintOf(publicKey);
        return { seq, at, key: { fingerprint, whose: fingerprint === own ? 'own' : 'unknown', shop: null } };
      }),
    }),
    number: file.job.number,
    entries: chain.length,
    last: chain.last,
    shop: file.shop?.name ?? '',
  };
}

async function jobIn(bytes: Buffer, path: string): Promise<unknown> {
  if (bytes.subarray(0, 2).toString('latin1') === 'PK') return unzipJob(bytes);
  const text = bytes.subarray(0, 5).toString('latin1') === '%PDF-' ? await attached(bytes) : bytes.toString('utf8');
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new InputError('file', path, 'readable JSON');
  }
}

/** The job that is attached to a record. */
async function attached(bytes: Buffer): Promise<string> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const files = ((await pdf.getAttachments()) ?? {}) as Record<string, { content: Uint8Array }>;
  const [first] = Object.values(files);
  if (!first) throw new InputError('file', 'a PDF without an attachment', 'a PDF record');
  return Buffer.from(first.content).toString('utf8');
}
