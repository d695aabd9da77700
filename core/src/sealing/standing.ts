import { computed } from '../basis/index.ts';
import type { Outcome, Verdict } from '../verdict/index.ts';

/** A key as it is known here. */
export interface KnownKey {
  /** SHA-256 of the key, hexadecimal. */
  fingerprint: string;
  /** Ours, one that the lead compared with another shop, or one that nobody compared. */
  whose: 'own' | 'compared' | 'unknown';
  /** The shop it was compared with. */
  shop: string | null;
}

/** A seal that was looked at, with its key. */
export interface SealSeen {
  /** Number of the last entry it covers. */
  seq: number;
  /** ISO time it was put on. */
  at: string;
  /** Its key. */
  key: KnownKey;
}

/** What a log is held against. */
interface LogSeen {
  /** The chain is whole, and so are its seals. */
  holds: boolean;
  /** How many entries it has. */
  length: number;
  /** Up to which entry it was brought in from elsewhere; 0: made here. */
  broughtIn: number;
  /** Its seals. */
  seals: readonly SealSeen[];
}

/** What can be said of a log to whoever reads its record. */
export interface Standing {
  /** In a word. */
  is: 'verifiedHere' | 'broughtIn' | 'unknownKey' | 'notSealed' | 'doesNotHold';
  /** In a sentence or two. */
  text: string;
  /** Entries up to which it is sealed; 0: none. */
  upTo: number;
  /** Entries after the newest seal. */
  after: number;
  /** As every judgement. */
  verdict: Verdict;
}

const BASIS = computed('SHA-256 over every entry and the one before (FIPS 180-4), sealed with Ed25519 (RFC 8032)');

/**
 * How far a log can be trusted: whole or not, sealed by whom, and what came after the seal.
 *
 * What was brought in is spoken for by a seal it came with: one that was put on here later says only that it stood so here.
 *
 * @example standingOf({ holds: true, length: 9, broughtIn: 0, seals: [] }).is // 'notSealed'
 */
export function standingOf(log: LogSeen): Standing {
  const newest = newestOf(log.seals);
  const speaks = log.broughtIn > 0 ? newestOf(log.seals.filter(({ seq }) => seq <= log.broughtIn)) : newest;
  const { is, outcome, text, next } = saidOf(log, speaks);
  const upTo = log.holds ? (newest?.seq ?? 0) : 0;
  const whole = [text, ...(log.holds && newest ? restOf(log, { speaks, newest }) : [])].join(' ');
  return {
    is,
    text: whole,
    upTo,
    after: log.length - upTo,
    verdict: { outcome, reasons: [{ text: whole, basis: BASIS }], next: next === undefined ? [] : [next] },
  };
}

/** Whose word it is. */
function saidOf(
  { holds, broughtIn }: LogSeen,
  speaks: SealSeen | null,
): { is: Standing['is']; outcome: Outcome; text: string; next?: string } {
  if (!holds)
    return {
      is: 'doesNotHold',
      outcome: 'bad',
      text: 'Does not hold: an entry was changed, or one is missing.',
      next: 'Ask where it comes from for another copy.',
    };
  if (!speaks)
    return {
      is: 'notSealed',
      outcome: 'unknown',
      text: broughtIn > 0 ? 'Brought in. The chain holds, not sealed.' : 'The chain holds, not sealed.',
      ...(broughtIn > 0 ? { next: 'Ask the shop it comes from.' } : {}),
    };
  const { whose, shop, fingerprint } = speaks.key;
  if (whose === 'own') return { is: 'verifiedHere', outcome: 'good', text: 'Verified here, sealed by this shop.' };
  if (whose === 'compared')
    return { is: 'broughtIn', outcome: 'good', text: `Brought in, sealed by ${shop ?? 'another shop'}.` };
  return {
    is: 'unknownKey',
    outcome: 'unknown',
    text: `Sealed by a key unknown here: ${fingerprintInWords(fingerprint)}.`,
    next: 'Let the lead compare its fingerprint with the shop it comes from.',
  };
}

/** How far the seals reach. */
function restOf(
  { length, broughtIn }: LogSeen,
  { speaks, newest }: { speaks: SealSeen | null; newest: SealSeen },
): string[] {
  const loose = broughtIn - (speaks?.seq ?? 0);
  const after = length - newest.seq;
  return [
    // A seal of ours over all of it does not make true what came in without one.
    ...(newest !== speaks && loose > 0 ? [`${cameIn(loose)} in without a seal, up to entry ${broughtIn}.`] : []),
    ...(newest !== speaks ? [`Sealed here up to entry ${newest.seq}.`] : []),
    after === 0 ? 'The seal covers all of it.' : `${cameIn(after)} after the seal, from entry ${newest.seq + 1} on.`,
  ];
}

const newestOf = (seals: readonly SealSeen[]): SealSeen | null =>
  seals.reduce<SealSeen | null>((best, one) => (best === null || one.seq > best.seq ? one : best), null);

const cameIn = (n: number): string => (n === 1 ? 'One entry came' : `${n} entries came`);

/**
 * A fingerprint as two people read it to each other: eight groups of four.
 *
 * @example fingerprintInWords('0123456789abcdef'.repeat(4)) // '0123 4567 89ab cdef 0123 4567 89ab cdef'
 */
export const fingerprintInWords = (fingerprint: string): string =>
  (fingerprint.slice(0, 32).match(/.{1,4}/g) ?? []).join(' ');
