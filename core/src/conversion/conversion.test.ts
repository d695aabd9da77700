import { describe, expect, test } from '@jest/globals';
import { checkBody, logWriter, owed, recordLines, type Entry } from '../job/index.ts';
import { elsewhere, inThisOrder, tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes } from '../vehicle/index.ts';
import { judgeHole, judgeSupport, type HolePlan, type SupportPlan } from './index.ts';

const hole: HolePlan = {
  stack: 40,
  recess: 60,
  hole: 100,
  boltCircle: 120,
  bolt: 5,
  outOfFlat: 0.5,
  squeeze: 2,
  inside: 200,
  swing: 180,
  clocking: 10,
  neverFuelled: true,
};

describe('before a hole is made; margins common practice, no source', () => {
  test('all of it fits', () => expect(judgeHole(hole).outcome).toBe('good'));
  test.each<[Partial<HolePlan>, string, RegExp]>([
    [{ neverFuelled: false }, 'bad', /has held fuel/],
    [{ recess: 39 }, 'bad', /strikes what is above/],
    [{ recess: 39, hangs: 'the crossmember' }, 'bad', /strikes the crossmember/],
    [{ recess: 49 }, 'doubtful', /little air/],
    // 7 mm of metal beside a 5 mm bolt, 7.5 are asked.
    [{ boltCircle: 114 }, 'bad', /too little is left/],
    // Three quarters of 2 mm: 1.5.
    [{ outOfFlat: 1.6 }, 'bad', /can’t follow/],
    [{ outOfFlat: 1 }, 'doubtful', /only just/],
    [{ inside: 179 }, 'bad', /float strikes/],
    [{ clocking: -45 }, 'doubtful', /points away/],
  ])('%j: %s', (more, outcome, why) => {
    const verdict = judgeHole({ ...hole, ...more });
    expect(verdict.outcome).toBe(outcome);
    expect(inWords(verdict.reasons[0]!.text)).toMatch(why);
  });
  test.each<Partial<HolePlan>>([
    { recess: 50 },
    { boltCircle: 115 },
    { boltCircle: null },
    { outOfFlat: 0.75 },
    { inside: 180 },
    { clocking: 30 },
  ])('%j is still good', (more) => expect(judgeHole({ ...hole, ...more }).outcome).toBe('good'));
  test('chips and tools are counted', () =>
    expect(
      judgeHole(hole)
        .next.map((n) => inWords(n))
        .join(),
    ).toMatch(/counted in and out/));
  test('no hole and no seal are refused', () => {
    expect(() => judgeHole({ ...hole, hole: 0 })).toThrow(/more than nothing/);
    expect(() => judgeHole({ ...hole, squeeze: 0 })).toThrow(/what the seal gives/);
  });
});

describe('a support the shop made', () => {
  // 110 kg × 3 × 9.80665 / 2 = 1.618 kN.
  const plan: SupportPlan = { kilograms: 110, count: 2, shock: 3, good: { hook: 4, strap: 8, bolt: 12 } };
  test('carried with each part good for more', () => {
    const { outcome, reasons } = judgeSupport(plan);
    expect(outcome).toBe('good');
    expect(reasons[0]).toMatchObject({ figure: '1.6 kN', limit: '4 kN' });
  });
  test('the weakest of hook, strap and bolt decides', () => {
    const { outcome, reasons } = judgeSupport({ ...plan, good: { hook: 1.6, strap: 8, bolt: 12 } });
    expect(outcome).toBe('bad');
    expect(inWords(reasons[0]!.text)).toBe('the hook is not good for it');
    expect(judgeSupport({ ...plan, good: { hook: 1.62, strap: 8, bolt: 12 } }).outcome).toBe('good');
  });
  test('no factor of the shop, or nobody says what one is good for: unknown', () => {
    expect(judgeSupport({ ...plan, shock: null }).outcome).toBe('unknown');
    expect(judgeSupport({ ...plan, good: { hook: 4, strap: null, bolt: 12 } }).outcome).toBe('unknown');
  });
  test('beyond that an outside signature, and never more than a look', () => {
    expect(judgeSupport({ ...plan, good: { hook: 1, strap: 8, bolt: 12 }, signedBy: 'the inspector' }).outcome).toBe(
      'doubtful',
    );
    expect(judgeSupport({ ...plan, shock: null, signedBy: ' ' }).outcome).toBe('unknown');
  });
  test('nonsense is refused', () => {
    expect(() => judgeSupport({ ...plan, kilograms: 0 })).toThrow(/more than nothing/);
    expect(() => judgeSupport({ ...plan, count: 1.5 })).toThrow(/one and more/);
    expect(() => judgeSupport({ ...plan, shock: 0.5 })).toThrow(/once its weight/);
  });
});

describe('two devices measured the hole, neither knowing of the other', () => {
  const { boltCircle: _, ...ring } = hole;
  const bodies = { a: { ...ring, recess: 20 }, b: ring };
  const opened = [
    logWriter('job')('opened', { name: 'Van', complaint: 'biggerTank', vehicle: archetypes[0]! }) as Entry,
  ];
  const measured = (device: 'a' | 'b'): Entry => ({
    ...elsewhere(opened, 1, { kind: 'holePlanned', body: bodies[device] }),
    id: device,
    device,
  });
  const folded = (...list: Entry[]) => inThisOrder([...opened, ...list]);
  test('the graver counts, whoever is delivered first; one that knew both takes their place', () => {
    const [a, b] = [measured('a'), measured('b')];
    for (const state of [folded(a, b), folded(b, a)])
      expect(state.hole).toMatchObject({ id: 'a', verdict: { outcome: 'bad' } });
    const later = { ...measured('b'), id: 'c', n: 2, on: 'a' } as Entry;
    expect(folded(b, a, later).hole).toMatchObject({ id: 'c', verdict: { outcome: 'good' } });
  });
});

describe('in a job', () => {
  const { boltCircle, ...ring } = hole;
  test('what does not fit is owed until it is measured anew, and stands on the record', () => {
    const job = tell({ complaint: 'biggerTank', vehicle: archetypes[0]! });
    const debts = () =>
      owed(job.state)
        .filter(({ key }) => key.startsWith('conversion'))
        .map(({ text }) => inWords(text));
    expect(debts()).toEqual([]);
    job.say('holePlanned', { ...ring, boltCircle: boltCircle!, recess: 20 });
    expect(debts()).toEqual(['the hole: the stack strikes what is above it']);
    job.say('holePlanned', { ...ring, boltCircle: boltCircle! });
    expect(debts()).toEqual([]);
    job.say('supportPlanned', { kilograms: 110, count: 2, good: {} });
    expect(debts()).toEqual(['what carries it: the shop has set no factor for bumps']);
    expect(
      recordLines(job.state)
        .map(({ text }) => inWords(text))
        .join(),
    ).toMatch(/hole: it never held fuel/);
  });
  test.each([
    ['holePlanned', { ...ring, boltCircle: 90 }, /wider than the hole/],
    ['supportPlanned', { kilograms: 110, count: 2 }, /good/],
    ['supportPlanned', { kilograms: 110, count: 2, good: { hook: -1 } }, /hook/],
  ] as const)('%s %j is refused', (kind, body, why) => expect(() => checkBody(kind, body as never)).toThrow(why));
});
