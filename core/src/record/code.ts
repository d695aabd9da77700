import type { Seal } from '../sealing/index.ts';

/** What a code on paper points to. */
export type PaperCode = { job: string; tag: number } | { job: string; head: string };

/**
 * What the code of a tag holds: its job and its number.
 *
 * @example tagCode('job-1', 7) // 'iron-cradle tag job-1 7'
 */
export const tagCode = (job: string, tag: number): string => `iron-cradle tag ${job} ${tag}`;

/**
 * What the code of a record holds: its number for people, its job, the head of its chain, and the newest seal: how far it goes, the hash there (= where
 * it is the head), when, and the signature.
 *
 * @example recordCode({ id: 'job-1', number: 12 }, 'ab12…') // 'iron-cradle job 12 job-1 ab12…'
 */
export const recordCode = (
  { id, number }: { id: string; number: number },
  head: string,
  seals: readonly Seal[] = [],
): string => {
  const newest = seals.at(-1);
  const seal = newest
    ? ` sealed ${newest.seq} ${newest.hash === head ? '=' : newest.hash} ${newest.at} ${newest.signature}`
    : '';
  return `iron-cradle job ${number} ${id} ${head}${seal}`;
};

const TAG = /^iron-cradle tag ([\w-]{1,64}) (\d{1,4})$/;
const JOB = /^iron-cradle job \d+ ([\w-]{1,64}) ([0-9a-f]+)(?: sealed \d+ (?:[0-9a-f]{64}|=) \S+ \S+)?$/;

/**
 * What a code says that somebody photographed; null: it is none of these.
 *
 * @example readCode('iron-cradle tag job-1 7') // { job: 'job-1', tag: 7 }
 */
export function readCode(text: string): PaperCode | null {
  const tag = TAG.exec(text.trim());
  if (tag) return { job: tag[1]!, tag: Number(tag[2]) };
  const job = JOB.exec(text.trim());
  return job ? { job: job[1]!, head: job[2]! } : null;
}
