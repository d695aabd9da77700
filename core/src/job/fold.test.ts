import { archetypes } from '../vehicle/index.ts';
import { foldJob, logWriter, owed, refusalOf, takeBackInWords } from './index.ts';
import { jobAt } from './testing.ts';

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

describe('what a log means', () => {
  const vehicle = archetypes[0]!;
  const quiet = {
    asked: true,
    tight: [] as string[],
    nearly: [] as string[],
    allFist: false,
    reachable: [] as string[],
  };
  const start = () => jobAt({ vehicle });
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
    // The eye outranks the file: 50 to 120 by that.
    expect(job.state.slack.plug).toMatchObject({ lo: 25, hi: 75 });
    job.log('crept', { ...(stop(30) as object), taut: 'line:vent' } as never);
    expect(job.state.slack.vent).toMatchObject({ lo: 30, hi: 30 });
    job.log('surprise', { what: 'freed', key: 'line:vent', more: 45 });
    expect(job.state.slack.vent!.lo).toBe(75);
  });

  test('a pull is flagged, never refused; taken back it was not so', () => {
    const job = start();
    job.log('stopDone', stop(150));
    expect(job.state.pulls.map((p) => p.key)).toEqual(expect.arrayContaining(['line:feed', 'line:vent']));
    const undo = takeBackInWords(job.state, job.entries, { maker: { by: 'ines', device: 'device' } })!;
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
    expect(owed(job.state).map((d) => d.text)).toContain('front vent hose is open, put off until home');
    job.log('made', { key: 'line:vent', way: 'vent-top' });
    expect(job.state.items[0]!.state).toBe('closed');
  });

  test('an earlier entry is taken back while nothing stands on it; what stands on it goes first', () => {
    const job = start();
    job.log('note', { text: 'one' });
    const note = job.entries.at(-1)!.id;
    job.log('moved', { to: { f: 25, r: 25 } });
    const move = job.entries.at(-1)!.id;
    job.log('moved', { to: { f: 30, r: 30 } });
    const back = (entry: string) => refusalOf(job.state, job.write('takeBack', { entry }))?.text ?? null;
    expect(back(note)).toBeNull();
    expect(back(move)).toMatch(/stands on it/);
    expect(job.log('takeBack', { entry: job.entries.at(-1)!.id }).pose).toEqual({ f: 25, r: 25 });
    expect(back(move)).toBeNull();
    expect(back(job.entries[0]!.id)).toMatch(/stays/);
  });

  test('numbers of all things are there from the first entry on, in the order of the file', () => {
    const { numbers } = start().state;
    expect(numbers['line:feed']).toBe(1);
    expect(Object.values(numbers)).toEqual(Object.keys(numbers).map((_, i) => i + 1));
    expect(Object.keys(numbers)).toHaveLength(
      vehicle.connections.length +
        vehicle.connections.flatMap((c) => c.clips).length +
        vehicle.obstructions.length +
        vehicle.supports.length +
        1,
    );
    const parted = start().log('stopDone', stop(60, [{ key: 'line:vent' }]));
    expect(parted.items[0]!.tag).toBe(numbers['line:vent']);
  });
});
