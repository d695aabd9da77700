import { inWords } from '../quantity/index.ts';
import type { Entry } from './index.ts';
import { foldJob, foldJobOn, owed, recordLines, refusalOf } from './index.ts';
import { elsewhere, jobAt } from './testing.ts';

/** The rules of the log, each on the smallest job that shows it. Entries of a second device are written as it would. */
type Job = ReturnType<typeof jobAt>;

/** Numbers all a job holds, as the server does. */
const numbered = (job: Job): Entry[] => job.entries.map((e, i) => ({ ...e, seq: i + 1 }) as Entry);

const deliverAll = (log: readonly Entry[], more: readonly Entry[]) => {
  const whole = [...log, ...more.map((e, i) => ({ ...e, seq: log.length + i + 1 }) as Entry)];
  return { state: foldJobOn(null, () => whole, whole)!, log: whole };
};
const keys = (state: Parameters<typeof owed>[0]) => owed(state).map((d) => d.key);

describe('openings and debts have ids of their own', () => {
  test('made answers only the partings its maker knew: one that arrives later stays open', () => {
    const job = jobAt();
    job.log('cleared', { key: 'line:vent', tag: 3 });
    const log = numbered(job);
    // The other tablet, away, parts it once more after it had seen it parted; here it is made.
    const parted = elsewhere(log, 1, { kind: 'cleared', body: { key: 'line:vent', tag: 3 } });
    const state = job.log('made', { key: 'line:vent' });
    expect(state.items.find((i) => i.key === 'line:vent')?.state).toBe('closed');
    const made = { ...job.entries.at(-1)!, on: log.at(-1)!.id } as Entry;
    for (const order of [
      [made, parted],
      [parted, made],
    ]) {
      const { state } = deliverAll(log, order);
      expect(Object.keys(state.twoDevices)).toContain('line:vent');
      expect(state.openings.filter((o) => o.key === 'line:vent').map((o) => o.closedIn !== null)).toEqual(
        expect.arrayContaining([true, false]),
      );
    }
  });

  test('a deviation settles the one debt it names: the next parting of the same line is owed anew', () => {
    const job = jobAt();
    job.log('cleared', { key: 'line:vent', tag: 3 });
    const first = owed(job.state).find((d) => d.key === 'line:vent')!;
    job.log('deviation', { debt: first.id, what: inWords(first.text), reason: 'waits', who: 'Bo', due: 'Friday' });
    expect(keys(job.state)).not.toContain('line:vent');
    // It is still off for the plan: a deviation excuses, it makes nothing.
    expect(job.state.items.find((i) => i.key === 'line:vent')?.state).not.toBe('closed');
    job.log('made', { key: 'line:vent' });
    job.log('cleared', { key: 'line:vent', tag: 3 });
    const again = owed(job.state).find((d) => d.key === 'line:vent');
    expect(again?.id).toBeDefined();
    expect(again?.id).not.toBe(first.id);
  });

  test('a deviation about an open line does not excuse that it was pulled', () => {
    const job = jobAt();
    job.log('cleared', { key: 'line:vent', tag: 3 });
    const open = owed(job.state).find((d) => d.key === 'line:vent')!;
    job.log('deviation', { debt: open.id, what: 'vent', reason: 'waits', who: 'Bo', due: 'Friday' });
    job.log('pulled', { key: 'line:vent' });
    expect(owed(job.state).map((d) => inWords(d.text))).toContainEqual(expect.stringMatching(/vent.*was pulled/));
  });
});

describe('two devices', () => {
  const away = () => {
    const job = jobAt();
    job.log('pressure', { reading: 2 });
    const log = numbered(job);
    const look = { asked: true, tight: [], nearly: [], allFist: true, reachable: [] };
    const stop = (n: number, by: string, to: number) =>
      ({
        ...elsewhere(log, n, {
          kind: 'stopDone',
          body: { to: { f: to, r: to }, off: [], capped: [], look, notDone: [] },
        }),
        id: `${by}${n}`,
        device: by,
        n: 50 + n,
      }) as Entry;
    return { log, a: stop(1, 'da', 25), b: stop(1, 'db', 60) };
  };

  test('the deeper height counts for safety until somebody says what is true; then that counts', () => {
    const { log, a, b } = away();
    for (const order of [
      [a, b],
      [b, a],
    ]) {
      const { state, log: whole } = deliverAll(log, order);
      expect(state.pose).toEqual({ f: 60, r: 60 });
      expect(keys(state)).toContain('two:pose');
      const settled = elsewhere(whole, 9, {
        kind: 'settled',
        body: {
          key: 'pose',
          entries: state.twoDevices.pose!.open,
          pose: { f: 25, r: 25 },
        },
      });
      const after = deliverAll(whole, [settled]).state;
      expect(after.pose).toEqual({ f: 25, r: 25 });
      expect(keys(after)).not.toContain('two:pose');
      // What looked pulled only because of the height that was not so, was not pulled.
      expect(owed(after).filter((d) => d.id.startsWith('pull:'))).toEqual([]);
    }
  });

  test('an entry made knowing the other meets nothing', () => {
    const { log, a, b } = away();
    const whole = deliverAll(log, [a]).log;
    const knowing = { ...b, on: whole.at(-1)!.id } as Entry;
    expect(deliverAll(whole, [knowing]).state.twoDevices).toEqual({});
  });
});

describe('taking back', () => {
  test('an entry on which another stands stays; what its maker did not know is no reason', () => {
    const job = jobAt();
    job.log('battery', { on: false });
    job.log('note', { text: 'looked at the vent' });
    const log = numbered(job);
    // A note stands on nothing: the battery before it is free to be taken back.
    const free = elsewhere(log, 1, { kind: 'takeBack', body: { entry: log[1]!.id } });
    const state = foldJob(null, log)!;
    expect(refusalOf(state, free)).toBeNull();
    const later = deliverAll(log, [elsewhere(log, 2, { kind: 'battery', body: { on: true } })]).log;
    const knows = elsewhere(later, 3, { kind: 'takeBack', body: { entry: log[1]!.id } });
    expect(refusalOf(foldJob(null, later), knows)?.text).toMatch(/stands on it/);
    // The same intention of one who had not seen it is allowed: what arrived meanwhile changes nothing.
    expect(
      refusalOf(foldJob(null, later), { ...knows, device: 'third', n: 1, on: log.at(-1)!.id } as Entry),
    ).toBeNull();
    expect(refusalOf(state, elsewhere(log, 4, { kind: 'takeBack', body: { entry: log[0]!.id } }))?.text).toMatch(
      /stays/,
    );
    expect(refusalOf(state, elsewhere(log, 5, { kind: 'takeBack', body: { entry: 'nobody' } }))?.text).toMatch(
      /no such entry/,
    );
  });
});

describe('after the signature', () => {
  /** Signed with every debt excused. */
  const signed = () => {
    const job = jobAt();
    for (const debt of owed(job.state))
      job.log('deviation', { debt: debt.id, what: inWords(debt.text), reason: 'test', who: 'Bo', due: 'Friday' });
    expect(owed(job.state)).toEqual([]);
    const before = numbered(job);
    job.log('signed', {});
    return { before, log: numbered(job) };
  };

  test('the shop’s figures set later change nothing that was decided', () => {
    const { log } = signed();
    const set = {
      ...elsewhere(log, 1, {
        kind: 'shopFigures',
        body: { alone: 5, two: 5, helperMinutes: 1, overshoot: 10, eye: 10 },
      }),
    };
    const { state } = deliverAll(log, [{ ...set, device: 'server', by: 'server' } as Entry]);
    expect(state.signed).not.toBeNull();
    expect(refusalOf(state, elsewhere(log, 2, { kind: 'note', body: { text: 'late' } }))?.todo).toMatch(/addendum/);
  });

  test('a fact made before it and delivered after it is late, and changes nothing until the lead reopens', () => {
    const { before, log } = signed();
    const late = elsewhere(before, 1, { kind: 'cleared', body: { key: 'line:vent', tag: 3 } });
    const { state, log: whole } = deliverAll(log, [late]);
    expect(state.signed).not.toBeNull();
    expect(state.late).toMatchObject([{ id: 'b1', stands: false }]);
    expect(state.items.some((i) => i.key === 'line:vent' && i.state === 'open')).toBe(false);
    const reopened = elsewhere(whole, 2, { kind: 'reopened', body: { reason: 'a line was parted' } });
    const open = deliverAll(whole, [reopened]).state;
    expect(open.signed).toBeNull();
    expect(open.late).toEqual([]);
    expect(keys(open)).toContain('line:vent');
    // Or it is let stand beside what was signed.
    const stands = elsewhere(whole, 2, { kind: 'settled', body: { key: 'late', entries: ['b1'] } });
    const kept = deliverAll(whole, [stands]).state;
    expect(kept.signed).not.toBeNull();
    expect(kept.late).toMatchObject([{ id: 'b1', stands: true }]);
  });

  test('one who knows that it is signed is refused, and told what can be done', () => {
    const { log } = signed();
    const state = foldJob(null, log);
    expect(refusalOf(state, elsewhere(log, 1, { kind: 'cleared', body: { key: 'line:vent', tag: 3 } }))?.todo).toMatch(
      /addendum|reopen/,
    );
    expect(refusalOf(state, elsewhere(log, 1, { kind: 'addendum', body: { text: 'cold and dry' } }))).toBeNull();
  });
});

describe('figures in what is said of a job', () => {
  const pulled = () => {
    const job = jobAt();
    const look = { asked: true, tight: [], nearly: [], allFist: true, reachable: [] };
    job.log('stopDone', { to: { f: 250, r: 250 }, off: [], capped: [], look, notDone: [] });
    return job;
  };

  test('a pull is flagged with what the line allows and where the tank went, in the reader’s units', () => {
    const { state } = pulled();
    const flag = recordLines(state).find((line) => inWords(line.text).includes('was pulled: it allows'))!;
    expect(inWords(flag.text)).toMatch(/^[\w ]+ was pulled: it allows \d+ mm, the tank went to \d+ mm$/);
    expect(inWords(flag.text, 'us')).toMatch(/it allows [\d /]+ in, the tank went to [\d /]+ in$/);
  });

  test('the signature is refused with the height as a figure, 250 mm being 9 13/16 in', () => {
    const job = pulled();
    for (const debt of owed(job.state).filter((d) => d.id !== 'pose'))
      job.log('deviation', { debt: debt.id, what: inWords(debt.text), reason: 'tried', who: 'Bo', due: 'Friday' });
    const refusal = refusalOf(job.state, job.write('signed', {}))!;
    expect(inWords(refusal.text)).toBe('not yet: tank hangs 250 mm below home');
    // 250 / 25.4 = 9.8425 in: between 13/16 (.8125) and 7/8 (.875) of an inch, nearer to 13/16.
    expect(inWords(refusal.text, 'us')).toMatch(/^not yet: tank hangs 9 13\/16 in below home$/);
  });
});
