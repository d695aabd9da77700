import fc from 'fast-check';
import { inWords } from '../quantity/index.ts';
import { owed } from '../job/index.ts';
import { anyLog, anyQueues, deliver, everyDelivery, type Delivered } from '../job/testing.ts';
import { foldJob, foldJobOn, type Entry, type JobState } from '../job/index.ts';
import { FoldWhole } from './index.ts';

const whole = (log: readonly Entry[]): JobState => foldJobOn(null, () => log, log) as JobState;

describe('one fold', () => {
  test('holds whatever stands in a log, never counts an entry twice, and is plain data', () => {
    fc.assert(
      fc.property(anyLog(), (log) => {
        const state = whole(log);
        expect(state.jobId).toBe('job');
        expect(foldJob(state, log)).toBe(state);
        expect(JSON.parse(JSON.stringify(state))).toEqual(state);
      }),
      { numRuns: 150 },
    );
  });

  test('in parts as in one, unless a later part takes back something of an earlier one', () => {
    fc.assert(
      fc.property(anyLog(), fc.nat(), (log, at) => {
        const cut = 1 + (at % log.length);
        const [a, b] = [log.slice(0, cut), log.slice(cut)];
        try {
          expect(foldJob(foldJob(null, a), b)).toEqual(whole(log));
        } catch (error) {
          if (!(error instanceof FoldWhole)) throw error;
          const named = b.flatMap((e) => (e.kind === 'takeBack' ? [e.body.entry] : []));
          expect(a.some((e) => named.includes(e.id))).toBe(true);
        }
      }),
      { numRuns: 200 },
    );
  });

  test('the base is never changed', () => {
    fc.assert(
      fc.property(anyLog(8), anyLog(8), (a, more) => {
        const base = whole(a);
        const before = JSON.stringify(base);
        const b = more.slice(1).map((e, i) => ({ ...e, id: `x${i}`, n: 100 + i }) as Entry);
        foldJobOn(base, () => [...a, ...b], b);
        expect(JSON.stringify(base)).toBe(before);
      }),
      { numRuns: 80 },
    );
  });
});

/** What must not depend on the order of delivery. */
const meaning = ({ state, refused }: Delivered) => ({
  counts: state.heads
    .filter((h) => h.counts)
    .map((h) => h.id)
    .sort(),
  refused,
  questions: Object.fromEntries(
    Object.entries(state.twoDevices)
      .filter(([, q]) => q.open.length > 0)
      .map(([key, q]) => [key, q.open])
      .sort(),
  ),
  debts: owed(state)
    .map((d) => `${d.id} ${inWords(d.text)}`)
    .sort(),
  pose: state.pose,
});

describe('two devices that were both away (over every order of delivery)', () => {
  test('count the same, refuse the same takeBacks, ask the same, owe the same, hang alike', () => {
    let orders = 0;
    fc.assert(
      fc.property(anyQueues(), ({ common, queues }) => {
        const [first, ...rest] = everyDelivery(common, queues).map(meaning);
        orders += 1 + rest.length;
        for (const other of rest) expect(other).toEqual(first);
      }),
      { numRuns: 500 },
    );
    expect(orders).toBeGreaterThan(2000);
  });

  test('the server’s own decisions and the parts folded make no difference', () => {
    fc.assert(
      fc.property(anyQueues(), ({ common, queues }) => {
        const { state, log } = deliver(common, [...queues[0], ...queues[1]]);
        expect(whole(log)).toEqual(state);
      }),
      { numRuns: 150 },
    );
  });
});
