import type { Way } from './ways.ts';

/** Events of the job that a way may wait for beside the things of the file. */
export const jobEvents = ['drained', 'test', 'first-fill'] as const;
type JobEvent = (typeof jobEvents)[number];

const isEvent = (id: string): id is JobEvent => (jobEvents as readonly string[]).includes(id);

/** What a way waits for. */
export interface Waits {
  /** Ids of what is done before it, in the direction of travel. */
  first: string[];
  /** Ids of what is not done yet at that moment. */
  notYet: string[];
  /** Events of the job that come before it. */
  events: JobEvent[];
}

/**
 * What a way waits for in a direction. Going down, done is off; going up, done is back on.
 *
 * @example waitsOf({ after: ['strap-1'], while: [{ id: 'trim', is: 'off' }] }, 'up') // first strap-1, trim not yet
 */
export function waitsOf(way: Pick<Way, 'after' | 'while'>, direction: 'down' | 'up'): Waits {
  const done = direction === 'down' ? 'off' : 'on';
  const during = way.while ?? [];
  const first = [...way.after, ...during.filter((w) => w.is === done).map((w) => w.id)];
  return {
    first: [...new Set(first.filter((id) => !isEvent(id)))],
    notYet: [...new Set(during.filter((w) => w.is !== done).map((w) => w.id))],
    events: [...new Set(first.filter(isEvent))],
  };
}
