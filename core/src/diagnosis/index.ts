import { commonPractice } from '../basis/index.ts';
import { SAMPLE } from '../drain/index.ts';
import type { Complaint, OrderSlice } from '../order/index.ts';
import { answerTo, askText, type Answered, type Question } from '../questions/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import type { Verdict } from '../verdict/index.ts';
import type { FuelSlice } from '../tank/index.ts';
import type { Judged, QuickTest } from './judged.ts';
import { quickTests } from './tests.ts';

export { type QuickTest } from './judged.ts';

/** How often a test settles the question for those who come with that complaint, 0 to 1; common practice, no source. */
const SETTLES: Record<string, number> = {
  fuse: 0.25,
  feed: 0.25,
  ground: 0.3,
  filter: 0.1,
  hatch: 0.15,
  senderOhms: 0.5,
  needle: 0.35,
  firstDrop: 0.7,
  sample: 0.7,
  probe: 0.6,
  cap: 0.4,
  flowLoad: 0.4,
  capLoose: 0.25,
  fromCan: 0.6,
  otherTank: 0.3,
  suction: 0.5,
};

/** What a test decides for each minute it takes. @example decidesPerMinute(fuse) // 0.125 */
const decidesPerMinute = (test: Pick<QuickTest, 'id' | 'minutes'>): number => (SETTLES[test.id] ?? 0.2) / test.minutes;

/** What a quick test read: a figure, `open`, or one of its words. Asked of a test. */
export const QUICK_TEST: Question<string | number> = {
  id: 'test',
  ofThing: true,
  words: 'quick test',
  expects: 'a figure or a word',
  read: (value) =>
    typeof value === 'number' && Number.isFinite(value) ? value : askText('test', 'quick test').read(value),
  some: [0.4, 'open'],
};

/** A quick test and what it read. */
interface TestState {
  /** The test. */
  test: QuickTest;
  /** Null until it was run. */
  judged: Judged | null;
}

/** What was tested before a bolt is touched, and what follows. */
interface Diagnosis {
  /** Not yet run first, those that decide most a minute on top; then those that were. */
  tests: TestState[];
  /** Must it come down? good = go, bad = look elsewhere first, unknown = not tested. */
  verdict: Verdict;
}

/** What it takes to say whether the tank must come down. */
export type DiagnosisFacts = { complaint: Complaint; vehicle: VehicleFile } & Answered &
  Partial<Pick<FuelSlice, 'fuel'> & Pick<OrderSlice, 'complaintTest'>>;

/**
 * Must the tank come down at all? From what the quick tests read. One that points elsewhere stops the drop; the minutes
 * of those not run yet are named.
 *
 * @example diagnose(state).verdict.outcome // 'bad': the ground loses 0.4 V
 */
export function diagnose(state: DiagnosisFacts): Diagnosis {
  const made = quickTests[state.complaint].filter(({ applies }) => applies?.(state.vehicle) ?? true);
  const tests = made.map((test): TestState => ({ test, judged: read(test, state) }));
  tests.sort(
    (a, b) =>
      Number(a.judged !== null) - Number(b.judged !== null) || decidesPerMinute(b.test) - decidesPerMinute(a.test),
  );
  return { tests, verdict: mustComeDown(tests) };
}

function read(test: QuickTest, state: DiagnosisFacts): Judged | null {
  const said = answerTo(state, QUICK_TEST, test.id) ?? (test.id === 'sample' ? sampleSaid(state) : undefined);
  const fits = typeof said === 'number' || 'words' in test.reads || said === 'open';
  return said === undefined || !fits
    ? null
    : test.judge(said, { vehicle: state.vehicle, aboard: state.fuel?.aboard ?? null });
}

/** The sample was looked at already, as the complaint’s own test or beside the cans: it is not asked for again. */
function sampleSaid(state: DiagnosisFacts): 'yes' | 'no' | undefined {
  const look = answerTo(state, SAMPLE);
  if (look !== undefined) return look === 'clear' ? 'no' : 'yes';
  const own = state.complaint === 'badFuel' ? state.complaintTest?.result : undefined;
  return own === 'shown' ? 'yes' : own === 'notShown' ? 'no' : undefined;
}

function mustComeDown(tests: readonly TestState[]): Verdict {
  const reason = (text: string): Verdict['reasons'][number] => ({ text, basis: commonPractice });
  if (tests.length === 0)
    return {
      outcome: 'good',
      reasons: [reason('another tank goes in: this one comes out')],
      next: ['compare old and new before anything is opened'],
    };
  const run = tests.flatMap((t) => (t.judged ? [t.judged] : []));
  const left = tests.filter((t) => !t.judged);
  const elsewhere = run.filter((j) => j.points === 'elsewhere');
  const stands = run.filter((j) => j.stands);
  if (stands.length > 0)
    return {
      outcome: 'good',
      reasons: [...stands, ...elsewhere].flatMap((j) => j.verdict.reasons),
      next: [...stands, ...elsewhere].flatMap((j) => j.verdict.next),
    };
  if (elsewhere.length > 0)
    return {
      outcome: 'bad',
      reasons: elsewhere.flatMap((j) => j.verdict.reasons),
      next: elsewhere.flatMap((j) => j.verdict.next),
    };
  if (run.length === 0) {
    const minutes = left.reduce((sum, t) => sum + t.test.minutes, 0);
    return {
      outcome: 'unknown',
      reasons: [reason(`not tested: ${minutes} minutes of tests against hours under it`)],
      next: [`${left[0]!.test.name}, ${left[0]!.test.minutes} min`],
    };
  }
  const open = run.filter((j) => j.points === 'nowhere');
  const reasons = run.flatMap((j) => j.verdict.reasons);
  if (left.length > 0 || open.length === run.length)
    return {
      outcome: 'doubtful',
      reasons,
      next: [...open.flatMap((j) => j.verdict.next), ...left.map((t) => `${t.test.name}, ${t.test.minutes} min`)],
    };
  return { outcome: 'good', reasons, next: open.flatMap((j) => j.verdict.next) };
}
