import { commonPractice, fromMemory } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';
import { mm, say } from '../quantity/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import { judgeSocket, sockets, type SocketJudged } from './socket.ts';

/** Widths across flats of nuts and heads by thread, mm, the present one first: ISO 4032 and 4014 after ISO 272, DIN 934 where it was another, ASME B18.2.1 and B18.2.2. From memory. */
const FLATS: Readonly<Record<string, readonly number[]>> = {
  M5: [8],
  M6: [10],
  M8: [13],
  M10: [16, 17],
  M12: [18, 19],
  M14: [21, 22],
  M16: [24],
  '1/4': [11.112],
  '5/16': [12.7],
  '3/8': [14.288],
  '7/16': [15.875, 17.462],
  '1/2': [19.05],
};

/** A flat worn or plated is this much narrower than its size, mm; common practice, no source. */
const WORN = 0.6;

/**
 * Threads a nut of this width is usual on: what does not match says that the nut, or the stud, is not of its kind.
 *
 * @param across mm
 * @example threadsOfNut(13) // ['M8']
 */
export const threadsOfNut = (across: number): string[] =>
  Object.entries(FLATS)
    .filter(([, flats]) => flats.some((flat) => across <= flat + 0.05 && across >= flat - WORN))
    .map(([thread]) => thread);

/** What is at the other end of what the nut sits on. */
export type OtherEnd = { kind: 'hex' | 'square'; across: number } | { kind: 'none' };

/** A nut, and the end that turns along with it. */
export interface NutJudged {
  /** Socket for the nut. */
  nut: SocketJudged;
  /** For the other end; null where there is nothing to hold. */
  end: SocketJudged | null;
  /** What it takes to part them. */
  verdict: Verdict;
}

/** Where a handle is swung, whatever the size. */
const SWEEP = 'before you pull: what does the handle sweep into? Brake pipe, line, wire';

/**
 * A bolt or a stud that turns along with its nut: a tool on the nut, a second one on the other end; where there is none, what a stud
 * offers instead.
 *
 * @param across of the nut, mm
 * @throws InputError beyond what is held with a socket
 * @example judgeNut({ across: 13, end: { kind: 'hex', across: 13 } }).verdict.reasons[0]!.text // 'two tools of one size: 13 mm on both ends'
 */
export function judgeNut({ across, end, thread }: { across: number; end: OtherEnd; thread?: string }): NutJudged {
  if (thread !== undefined && !(thread in FLATS)) throw new InputError('thread', thread, Object.keys(FLATS).join(', '));
  const nut = judgeSocket({ across, head: 'hex' });
  const other = end.kind === 'none' ? null : judgeSocket({ across: end.across, head: end.kind });
  const found: Found[] = [{ outcome: nut.verdict.outcome, ...reasonOf('nut', nut) }];
  if (other) found.push({ outcome: other.verdict.outcome, ...reasonOf('other end', other) });
  const [a, b] = [nut.fits[0]?.socket.name, other?.fits[0]?.socket.name];
  if (a !== undefined && a === b)
    found.unshift({
      outcome: 'doubtful',
      text: `two tools of one size: ${a} on both ends`,
      next: 'have a second one of it here before you lie down',
    });
  if (end.kind === 'none')
    found.push({
      outcome: 'doubtful',
      text: 'nothing to hold at the other end',
      next: 'two nuts jammed against each other on its free thread; else let it come out with its nut, part them on the bench, stud back first',
    });
  if (thread !== undefined && !threadsOfNut(across).includes(thread))
    found.push({
      outcome: 'doubtful',
      text: `no usual nut of ${thread}`,
      figure: say`${mm(across, across, 1)} across`,
      limit: FLATS[thread]!.map(
        (flat) => sockets.find((one) => Math.abs(one.across - flat) < 0.01)?.name ?? `${flat} mm`,
      ).join(' or '),
      basis: fromMemory('ISO 4032, DIN 934, ASME B18.2.2'),
      next: 'is the thread what it was taken for? Measure it before anything is forced',
    });
  return { nut, end: other, verdict: verdictFrom(found, { basis: commonPractice, next: [SWEEP] }) };
}

function reasonOf(what: string, { verdict }: SocketJudged): Omit<Found, 'outcome'> {
  const { text, figure, basis } = verdict.reasons[0]!;
  const next = verdict.outcome === 'good' ? undefined : verdict.next[0];
  return { text: say`${what}: ${text}`, basis, ...(figure ? { figure } : {}), ...(next ? { next } : {}) };
}
