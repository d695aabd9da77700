import { mm, say } from '../quantity/index.ts';
import { castDraft, type Draft } from 'immer';
import { commonPractice, seen as seenBasis, type Basis } from '../basis/index.ts';
import { exactly, type Estimate } from '../estimate/index.ts';
import type { Events, KernelState, Moment, Tell } from '../kernel/index.ts';
import type { LedgerSlice } from '../ledger/index.ts';
import type { OrderSlice } from '../order/index.ts';
import { keyOf, lineOf, type Connection, type VehicleSlice } from '../vehicle/index.ts';
import { FIST, NEARLY } from './margins.ts';
import type { Contradiction, HangSlice } from './types.ts';

/** What the hanging tank reads beside its own. */
export type HangFacts = VehicleSlice & LedgerSlice & OrderSlice & Pick<KernelState, 'twoDevices'>;

/** Its own, to be changed. */
export type Own = Draft<HangSlice>;

/** Writes down what is now known of a slack, and what was known before. */
export function learnSlack(own: Own, { line, next, id }: { line: string; next: Estimate; id: string }): void {
  const was = own.slack[line];
  if (!was || (was.lo === next.lo && was.typ === next.typ && was.hi === next.hi)) return;
  own.slackBefore.push({ line, id, was });
  own.slack[line] = next;
}

/** What was felt or measured of a line does not hold with what it showed: said until it is measured again. */
export function doesNotFit(own: Own, tell: Tell, contradiction: Contradiction): void {
  measuredAnew(own, contradiction.line);
  own.contradicted.push(castDraft(contradiction));
  tell('flagged', { text: contradiction.words });
}

/** Measured, off, or another length by now: what was said of it before is answered. */
export function measuredAnew(own: Own, line: string): void {
  own.contradicted = own.contradicted.filter((one) => one.line !== line);
}

/** A slack somebody felt or measured; with a clip off it is not the slack of the file any more. */
export function feel(own: Own, { id, mm, facts }: { id: string; mm: number; facts: Readonly<HangFacts> }): void {
  const line = lineOf(facts.vehicle, id);
  if (!line || line.clips.some((clip) => facts.openings.some((o) => o.key === keyOf('clip', clip.id)))) return;
  own.felt.push({ line: id, mm });
}

/** What is known of a slack once it let so much. */
export const atLeast = (known: Estimate, least: number, basis: Basis): Estimate =>
  least <= known.lo ? known : { lo: least, typ: Math.max(known.typ, least), hi: Math.max(known.hi, least), basis };

/**
 * What a look tells of one line. The eye outranks the file, whatever that rests on; what was felt or measured in this job
 * outranks the eye, but where the eye says less it is careful.
 */
export function seenAt(
  own: Own,
  line: Connection,
  { seen, here, moment, tell, eye }: { seen: Events['looked']; here: number; moment: Moment; tell: Tell; eye: number },
): void {
  const known = own.slack[line.id];
  if (!known || seen.blind || seen.unseen?.includes(line.id)) return;
  const learn = (next: Estimate) => learnSlack(own, { line: line.id, next, id: moment.id });
  const how = own.eyed[line.id];
  const play = seen.tight.includes(line.id) ? 0 : seen.nearly.includes(line.id) ? NEARLY : null;
  if (play === null) {
    if (!seen.asked || line.visibleFrom.hi > here || how === 'felt') return;
    learn(atLeast(known, here + (seen.allFist ? FIST : NEARLY) - eye, seenBasis));
    own.eyed[line.id] = 'seen';
    return;
  }
  const most = here + play + eye;
  if (how === 'felt') {
    if (most >= known.lo) return;
    doesNotFit(own, tell, {
      id: moment.id,
      line: line.id,
      words: say`${line.name} was measured at ${mm(known.lo)} and looks shorter at ${mm(here)}: measure it again`,
    });
  } else if (how === undefined && most < known.lo) {
    const words = say`${line.name} looks ${play === 0 ? 'tight' : 'nearly tight'} at ${mm(here)}, its file says ${mm(known.lo)} at least: perhaps the file of another variant`;
    own.doubts.push(
      castDraft({ id: moment.id, line: line.id, kind: known.basis.kind, factor: most / known.lo, words }),
    );
    tell('flagged', { text: words });
  }
  learn({
    lo: here,
    typ: Math.min(most, Math.max(here + play / 2, Math.min(known.typ, most))),
    hi: most,
    basis: seenBasis,
  });
  own.eyed[line.id] = 'seen';
}

/**
 * An answer about a slack. By eye a line is only ever judged shorter for certain: “more” moves what is likely, never the
 * end that keeps it from being pulled. Measured with a string both ends are known.
 */
export function slackSaid(slack: Estimate, value: unknown): Estimate | null {
  if (typeof value === 'number') return exactly(Math.floor(value));
  if (value === 'short') return { ...slack, typ: (slack.lo + slack.typ) / 2, hi: slack.typ, basis: commonPractice };
  if (value === 'long') return { ...slack, typ: (slack.typ + slack.hi) / 2, basis: commonPractice };
  return null;
}

/** What entries in dispute taught of a slack counts no more: the shorter end of before and now, the longer of both. */
export function forget(own: Own, entries: readonly string[], id: string): void {
  const seen = new Set<string>();
  own.contradicted = own.contradicted.filter((one) => !entries.includes(one.id));
  for (const { line, id: cause, was } of [...own.slackBefore]) {
    const now = own.slack[line];
    if (!entries.includes(cause) || seen.has(line) || !now) continue;
    seen.add(line);
    delete own.eyed[line];
    learnSlack(own, {
      line,
      next: {
        lo: Math.min(was.lo, now.lo),
        typ: Math.min(was.typ, now.typ),
        hi: Math.max(was.hi, now.hi),
        basis: was.basis,
      },
      id,
    });
  }
}
