import fc from 'fast-check';
import { archetypes } from '../vehicle/index.ts';
import { logWriter } from '../rehearsal/index.ts';
import { foldJob, owed, refusalOf, takeBackInWords, type Entry, type JobState } from './index.ts';
import { anyLog } from './testing.ts';

/** State without the bookkeeping of what was ever seen, which an undone entry rightly leaves behind. */
const bare = (state: JobState | null) => state && { ...state, seen: [], takenBack: [], lastSeq: 0 };

describe('fuel that came in by itself', () => {
  test('is already in what was seen since, so that the count and the look agree again', () => {
    const write = logWriter('job');
    const file = archetypes[0]!;
    const log = [
      write('opened', { name: 'Van', complaint: 'pump', vehicle: file, gauge: 0.5 }),
      write('container', { number: 1, capacity: 20, litres: 19, clean: true }),
      write('fuelWitness', { witness: 'dip', reading: 120 }),
      write('fuelMoved', { what: 'fedIn', litres: 10 }),
    ];
    const [before, after] = [foldJob(null, log.slice(0, 3))!, foldJob(null, log)!];
    expect(after.witnesses[1]!.inBefore).toBe(10);
    expect(after.fuel.steps[1]!.said).toEqual(before.fuel.steps[1]!.said);
    expect(after.fuel.steps[0]!.said.typ).toBeCloseTo(before.fuel.steps[0]!.said.typ + 10, 6);
  });
});

describe('any log', () => {
  test('folds, whatever stands in it, and never counts an entry twice', () => {
    fc.assert(
      fc.property(anyLog(), (log) => {
        const state = foldJob(null, log)!;
        expect(state.jobId).toBe('job');
        expect(foldJob(state, log)).toEqual(state);
        expect(JSON.parse(JSON.stringify(state))).toEqual(state);
      }),
      { numRuns: 200 },
    );
  });

  test('folds in parts as in one', () => {
    fc.assert(
      fc.property(anyLog(), fc.nat(), (log, at) => {
        const cut = 1 + (at % log.length);
        expect(foldJob(foldJob(null, log.slice(0, cut)), log.slice(cut))).toEqual(foldJob(null, log));
      }),
      { numRuns: 200 },
    );
  });

  test('undo restores what was before', () => {
    fc.assert(
      fc.property(anyLog(), (log) => {
        const state = foldJob(null, log)!;
        const newest = state.kept.at(-1)!;
        if (newest.kind === 'opened' || state.signed) return;
        const undo: Entry = {
          id: 'undo',
          jobId: 'job',
          at: '2026-01-05T20:00:00Z',
          by: 'bo',
          kind: 'takeBack',
          body: { entry: newest.id },
        };
        expect(bare(foldJob(state, [undo]))).toEqual(bare(foldJob(null, state.kept.slice(0, -1))));
      }),
      { numRuns: 200 },
    );
  });

  test('is signed only when nothing is owed, and then takes nothing but addenda', () => {
    fc.assert(
      fc.property(anyLog(), (log) => {
        const state = foldJob(null, log)!;
        const sign: Entry = {
          id: 'sign',
          jobId: 'job',
          at: '2026-01-05T20:00:00Z',
          by: 'ines',
          kind: 'signed',
          body: {},
        };
        const signed = foldJob(state, [sign])!;
        if (!state.signed) expect(signed.signed !== null).toBe(owed(state).length === 0);
        if (signed.signed)
          expect(refusalOf(signed, { ...sign, id: 'n', kind: 'note', body: { text: 'x' } })).not.toBeNull();
      }),
      { numRuns: 200 },
    );
  });

  test('facts are never refused before the signature', () => {
    fc.assert(
      fc.property(anyLog(), (log) => {
        let state: JobState | null = null;
        for (const entry of log) {
          const refused = refusalOf(state, entry);
          if (refused) expect(['gate', 'signed', 'takeBack', 'addendum']).toContain(entry.kind);
          state = foldJob(state, [entry]);
          if (state!.signed) return;
        }
      }),
      { numRuns: 200 },
    );
  });
});

describe('what a log means', () => {
  const vehicle = archetypes[0]!;
  const quiet = {
    asked: true,
    tight: [] as string[],
    nearly: [] as string[],
    allFist: false,
    reachable: [] as string[],
  };
  const start = () => {
    const write = logWriter('job');
    let state = foldJob(null, [write('opened', { name: 'Van 4', complaint: 'pump', vehicle, gauge: 0.5 })])!;
    return {
      get state() {
        return state;
      },
      log(...args: Parameters<typeof write>) {
        state = foldJob(state, [write(...args)])!;
        return state;
      },
    };
  };
  const stop = (
    to: number,
    off: { key: string; tag?: number; way?: string }[] = [],
    look: { tight?: string[]; nearly?: string[]; allFist?: boolean } = {},
  ) => ({ to: { f: to, r: to }, off, capped: [], look: { ...quiet, ...look }, notDone: [] }) as never;

  test('a line not named at a stop where it is surely seen has at least two fingers of play, less the eye’s error', () => {
    const job = start();
    job.log('stopDone', stop(25));
    // vent is visible for certain from 60 only: it does not widen at 25.
    expect(job.state.slack.vent!.lo).toBe(40);
    job.log('stopDone', stop(60));
    expect(job.state.slack.vent!.lo).toBe(90);
    job.log('stopDone', stop(60, [], { allFist: true }));
    expect(job.state.slack.vent!.lo).toBe(150);
  });

  test('named tight, named nearly, felt taut', () => {
    const job = start();
    job.log('stopDone', stop(25, [], { tight: ['vent'], nearly: ['plug'] }));
    expect(job.state.slack.vent).toMatchObject({ lo: 25, hi: 35 });
    expect(job.state.slack.plug).toMatchObject({ lo: 50, hi: 75 });
    job.log('crept', { ...(stop(30) as object), taut: 'line:vent' } as never);
    expect(job.state.slack.vent).toMatchObject({ lo: 30, hi: 30 });
    job.log('surprise', { what: 'freed', key: 'line:vent', more: 45 });
    expect(job.state.slack.vent!.lo).toBe(75);
  });

  test('a pull is flagged, never refused; taken back it was not so', () => {
    const job = start();
    job.log('stopDone', stop(150));
    expect(job.state.pulls.map((p) => p.key)).toEqual(expect.arrayContaining(['line:feed', 'line:vent']));
    const undo = takeBackInWords(job.state)!;
    expect(undo.words).toBe('lowered to 150');
    job.log('takeBack', { entry: undo.entry });
    expect(job.state.pulls).toEqual([]);
    expect(job.state.pose).toEqual({ f: 0, r: 0 });
  });

  test('a line comes off under its number and must be back before the hand is lost', () => {
    const job = start();
    job.log('stopDone', stop(60, [{ key: 'line:vent', tag: 8, way: 'vent-top' }]));
    // 70 is where the hand gets there for certain; the hose itself is known to let 60 and no more.
    expect(job.state.items[0]).toMatchObject({ tag: 8, state: 'open', offAt: 60, back: { drop: 60, guessed: true } });
    job.log('deferred', { key: 'line:vent', until: 'home' });
    expect(owed(job.state).map((d) => d.text)).toContain('vent hose is open, put off until home');
    job.log('made', { key: 'line:vent', way: 'vent-top' });
    expect(job.state.items[0]!.state).toBe('closed');
  });

  test('taking back names the newest entry only', () => {
    const job = start();
    job.log('note', { text: 'one' });
    const first = job.state.kept.at(-1)!.id;
    job.log('note', { text: 'two' });
    const entry: Entry = { id: 'u', jobId: 'job', at: '', by: 'bo', kind: 'takeBack', body: { entry: first } };
    expect(refusalOf(job.state, entry)?.text).toMatch(/after it/);
  });
});
