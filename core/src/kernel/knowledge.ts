import { SERVER_DEVICE } from './entry.ts';
import type { Head } from './state.ts';

/** Place of an entry in the log, looked for from the newest on; -1 where it is not there. @example placeIn(heads, 'e3') // 2 */
export function placeIn(heads: readonly Pick<Head, 'id'>[], id: string | null): number {
  if (id === null) return -1;
  for (let i = heads.length - 1; i >= 0; i--) if (heads[i]?.id === id) return i;
  return -1;
}

/** The part of a head that says what it knew. */
type Knower = Pick<Head, 'device' | 'n' | 'seen'>;

/**
 * Did the maker of one entry hold the other: all up to the server's newest it held, its device's earlier ones, and what
 * the server itself said?
 *
 * @param place where the other stands in the log
 * @example knows({ device: 'a', n: 3, seen: 1 }, { device: 'a', n: 2 }, 7) // true: its own
 */
export const knows = (one: Knower, other: Pick<Head, 'device' | 'n'>, place: number): boolean =>
  place <= one.seen || other.device === SERVER_DEVICE || (other.device === one.device && other.n < one.n);

/** What an entry touches. */
type Touching = Pick<Head, 'reads' | 'writes' | 'device'>;

/**
 * Do two entries meet: does one write what the other reads or writes? The server’s own meet nothing.
 *
 * @example meets({ writes: ['pose'], reads: [], device: 'a' }, { writes: [], reads: ['pose'], device: 'b' }) // true
 */
function meets(a: Touching, b: Touching): boolean {
  if (a.device === SERVER_DEVICE || b.device === SERVER_DEVICE) return false;
  return (
    a.writes.some((key) => b.writes.includes(key) || b.reads.includes(key)) ||
    b.writes.some((key) => a.reads.includes(key))
  );
}

/** Kinds that are never taken back. */
const forEver = new Set(['opened', 'signed', 'takeBack']);

/**
 * Why an entry may not be taken back, judged wholly by what the one who wants it knew: something made knowing it meets it
 * and was not, as far as they knew, taken back. Null when it may. What else has arrived changes nothing.
 *
 * @param target id of the entry to be taken back
 * @example whyNotTakenBack(heads, { device: 'a', n: 9, seen: 4 }, 'e2') // 'something was entered after it'
 */
export function whyNotTakenBack(heads: readonly Head[], maker: Knower, target: string): string | null {
  const place = placeIn(heads, target);
  const head = heads[place];
  if (!head || !knows(maker, head, place)) return 'there is no such entry here';
  if (forEver.has(head.kind)) return `what was ${head.kind === 'takeBack' ? 'taken back' : head.kind} stays`;
  const known = heads.map((other, i) => knows(maker, other, i));
  const gone = new Set(heads.flatMap((other, i) => (known[i] && other.names !== null ? [other.names] : [])));
  for (let i = place + 1; i < heads.length; i++) {
    const other = heads[i];
    if (!other || !known[i] || other.names !== null || gone.has(other.id)) continue;
    if (knows(other, head, place) && meets(other, head)) return 'something was entered after it that stands on it';
  }
  return null;
}
