import { Tinypool } from 'tinypool';
import { InputError } from '@iron-cradle/core';
import { Problem } from '../../http/problem.ts';
import type { ReadJob } from './read.ts';
import type { Incoming, Outcome } from './worker.ts';

/** The longest a file may take, ms: one of 60,000 entries takes some seconds. */
const LONGEST = 120_000;
/** What reading may hold, MB. */
const MEMORY = 1_024;

let pool: Tinypool | null = null;
/** One at a time, one file after another; it ends when nothing has come for a while. */
const poolOf = (): Tinypool =>
  (pool ??= new Tinypool({
    filename: new URL('./jobs/incoming/worker.mjs', import.meta.url).href,
    runtime: 'worker_threads',
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 60_000,
    isolateWorkers: false,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY },
    env: {},
  }));

const tooMuch = (detail: string): Problem => new Problem(413, 'Too large', { detail });

/**
 * Reads a job's file in a thread of its own, so that nobody else waits for it.
 *
 * @param stop ends it: who sent it has gone
 * @throws InputError for what is wrong with it, Problem 413 where it takes too long or too much
 * @example await readBeside({ bytes, zipped: false }, signal)
 */
export async function readBeside(incoming: Incoming, stop: AbortSignal): Promise<ReadJob> {
  const late = AbortSignal.timeout(LONGEST);
  const outcome = (await poolOf()
    .run(incoming, { signal: AbortSignal.any([stop, late]) })
    .catch((error: unknown) => {
      if (late.aborted) throw tooMuch('This file takes longer to read than a job’s file ever should.');
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw tooMuch('This file holds more than a job’s file ever should.');
      throw error;
    })) as Outcome;
  if ('job' in outcome) return outcome.job;
  const { field, found, expected } = outcome.wrong;
  throw new InputError(field, found, expected);
}
