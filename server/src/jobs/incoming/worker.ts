import 'reflect-metadata';
import { InputError, type JobFile } from '@iron-cradle/core';
import { notTooDeep } from '../../http/depth.ts';
import { unzipJob } from '../../record/zip.ts';
import { readJobFile, type ReadJob } from './read.ts';

/** What came over the network. */
export interface Incoming {
  /** As it came. */
  bytes: Uint8Array;
  /** Is it a zip, with photos in it? */
  zipped: boolean;
}

/** What an error says survives the way out of a worker only as plain fields. */
export type Outcome = { job: ReadJob } | { wrong: Pick<InputError, 'field' | 'found' | 'expected'> };

/** Reads one file beside the server, which goes on answering meanwhile. */
export default async function read({ bytes, zipped }: Incoming): Promise<Outcome> {
  try {
    return { job: await readJobFile(zipped ? await unzipJob(bytes) : parsed(bytes)) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const { field, found, expected } = error;
    return { wrong: { field, found, expected } };
  }
}

function parsed(bytes: Uint8Array): JobFile {
  notTooDeep(bytes);
  try {
    return JSON.parse(Buffer.from(bytes).toString('utf8')) as JobFile;
  } catch {
    throw new InputError('file', 'no readable JSON', 'a job file');
  }
}
