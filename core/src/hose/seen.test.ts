import { exactly } from '../estimate/index.ts';
import { owed, recordLines, checkBody } from '../job/index.ts';
import { elsewhere, inThisOrder, tell } from '../job/testing.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import {
  curveThrough,
  hoseLength,
  judgeGrade,
  judgeHose,
  judgeRun,
  rubbersOf,
  saidOf,
  type HosePlace,
  type RoutePoint,
} from './index.ts';

const van: VehicleFile = {
  ...archetypes[0]!,
  fuel: 'petrol',
  fuelSystem: { pump: 'electricHigh', engine: { bar: exactly(3.9) } },
};
const injection: HosePlace = { use: 'pressure', bar: 3.9, submerged: false, fuel: 'petrol' };
const low: HosePlace = { ...injection, bar: 0.5 };
const outcomes = (of: { outcome: string }[]) => of.map(({ outcome }) => outcome);

describe('printed grade; SAE J30 from memory', () => {
  test.each([
    ['R7 at a carburettor', { grade: 'R7', bore: 8 }, low, 'good'],
    // 50 psi are 3.45 bar.
    ['R7 at injection pressure', { grade: 'R7', bore: 8 }, injection, 'bad'],
    ['R9 at injection pressure', { grade: 'R9', bore: 8 }, injection, 'good'],
    ['R9 inside the tank', { grade: 'R9', bore: 8 }, { ...injection, submerged: true }, 'bad'],
    ['R10 inside the tank', { grade: 'R10', bore: 8 }, { ...injection, submerged: true }, 'good'],
    ['R11 as a feed', { grade: 'R11', bore: 8 }, low, 'bad'],
    ['R11 at the filler', { grade: 'R11', bore: 38 }, { ...low, use: 'filler', bar: null }, 'good'],
    ['R7 at the filler', { grade: 'R7', bore: 38 }, { ...low, use: 'filler', bar: null }, 'bad'],
    ['R6 with E85', { grade: 'R6', bore: 8 }, { ...low, fuel: 'e85' }, 'bad'],
    ['R9 with E85', { grade: 'R9', bore: 8 }, { ...low, fuel: 'e85' }, 'good'],
    // Above 3/8 in it stands 35 psi, 2.4 bar.
    ['R7 of 12 mm at 3 bar', { grade: 'R7', bore: 12 }, { ...low, bar: 3 }, 'bad'],
    ['R7 of 8 mm at 3 bar', { grade: 'R7', bore: 8 }, { ...low, bar: 3 }, 'good'],
    ['a metric print with its pressure', { grade: 'metric', bore: 8, printedBar: 10 }, injection, 'good'],
    ['a metric print of too little', { grade: 'metric', bore: 8, printedBar: 3 }, injection, 'bad'],
    ['a metric print without it', { grade: 'metric', bore: 8 }, injection, 'unknown'],
    ['no print', { grade: 'none', bore: 8 }, low, 'doubtful'],
    ['a pump nobody knows', { grade: 'R9', bore: 8 }, { ...low, bar: null }, 'unknown'],
  ] as const)('%s', (_, hose, place, outcome) => {
    expect(outcomes(judgeGrade(hose, place))).toContain(outcome);
    expect(judgeGrade(hose, place)).toHaveLength(1);
  });
});

describe('a hose as it is seen', () => {
  const feed = { place: injection };
  const sound = { grade: 'R9', bore: 7.94, pipes: [8, 7.94], is: ['sound'] } as const;
  test('grade, bore on both pipes, what is seen, age', () => {
    expect(judgeHose(sound, feed, 2026).outcome).toBe('good');
    expect(judgeHose({ ...sound, is: ['cracked'] }, feed, 2026).outcome).toBe('bad');
    expect(judgeHose({ ...sound, is: ['hard'] }, feed, 2026).outcome).toBe('doubtful');
    expect(judgeHose({ ...sound, pipes: [8, 6.35] }, feed, 2026).outcome).toBe('bad');
    expect(judgeHose({ ...sound, year: 2016 }, feed, 2026).outcome).toBe('doubtful');
    expect(judgeHose({ ...sound, year: 2017 }, feed, 2026).outcome).toBe('good');
    expect(judgeHose({ ...sound, bore: undefined }, feed, 2026).outcome).toBe('unknown');
  });
  test('every rubber from tank to engine, with the two that get forgotten', () => {
    const list = rubbersOf(van);
    expect(list.filter(({ forgotten }) => forgotten).map(({ key }) => key)).toEqual(['rubber:filter', 'rubber:engine']);
    expect(list.find(({ key }) => key === 'line:filler')?.place.use).toBe('filler');
    expect(list.find(({ key }) => key === 'line:vent')?.breathes).toBe(true);
    expect(list.some(({ key }) => key === 'line:plug')).toBe(false);
  });
});

describe('how it runs', () => {
  const v: RoutePoint[] = [
    [0, 60],
    [200, 0],
    [400, 60],
  ];
  const breathes = { breathes: true };
  test('a dip is a halt only where it has to breathe', () => {
    expect(judgeRun({ below: true, route: v, bore: 12 }, breathes).outcome).toBe('bad');
    expect(judgeRun({ below: true, route: v, bore: 12 }, { breathes: false }).outcome).toBe('good');
    expect(judgeRun({ below: true }, breathes).outcome).toBe('unknown');
    expect(judgeRun({ below: true }, { breathes: false }).outcome).toBe('good');
    expect(judgeRun({ below: false }, breathes).outcome).toBe('good');
  });
  test('less deep than its bore liquid lies in it, and it breathes still', () => {
    const shallow: RoutePoint[] = [
      [0, 12],
      [200, 0],
      [400, 12],
    ];
    expect(judgeRun({ below: true, route: shallow, bore: 16 }, breathes).outcome).toBe('doubtful');
  });
  test('an open-air vent rises over a high loop first', () => {
    const falls: RoutePoint[] = [
      [0, 100],
      [200, 50],
      [400, 0],
    ];
    const loop: RoutePoint[] = [
      [0, 0],
      [300, 150],
      [600, -50],
    ];
    expect(judgeRun({ below: false, route: falls, bore: 8, openAir: true }, breathes).outcome).toBe('bad');
    expect(judgeRun({ below: false, route: loop, bore: 8, openAir: true }, breathes).outcome).toBe('good');
  });
  test('a bend tighter than six times its outside', () => {
    const bent: RoutePoint[] = [
      [0, 100],
      [60, 90],
      [80, 0],
    ];
    expect(inWords(judgeRun({ below: false, route: bent, bore: 12 }, breathes).reasons[0]!.text)).toMatch(/tighter/);
  });
  test('the curve goes through what was drawn, and never beyond it', () => {
    const line = curveThrough(v);
    for (const point of v) expect(line.some(([x, z]) => Math.hypot(x - point[0], z - point[1]) < 1e-9)).toBe(true);
    expect(Math.min(...line.map(([, z]) => z))).toBe(0);
    expect(Math.max(...line.map(([, z]) => z))).toBe(60);
    // Longer than straight from point to point, and not by much.
    expect(hoseLength(v)).toBeGreaterThan(2 * Math.hypot(200, 60));
    expect(hoseLength(v)).toBeLessThan(1.02 * 2 * Math.hypot(200, 60));
    expect(
      hoseLength([
        [0, 0],
        [300, 400],
      ]),
    ).toBe(500);
  });
});

describe('in the log', () => {
  const cracked = { key: 'line:vent', grade: 'R7', bore: 8, is: ['cracked'] } as const;
  const debts = (state: Parameters<typeof owed>[0]) => owed(state).filter(({ id }) => /^(hoses|ways|clamps):/.test(id));
  test('what is bad is owed until it is looked at again and good', () => {
    const job = tell({ complaint: 'hose', vehicle: van });
    job.say('hoseSeen', { ...cracked, is: ['cracked'] });
    expect(debts(job.state).map(({ text }) => inWords(text))).toEqual(['front vent hose: cracked']);
    job.say('hoseSeen', { key: 'line:vent', grade: 'R7', bore: 8, is: ['sound'] });
    expect(debts(job.state)).toEqual([]);
    job.say('hoseRuns', {
      key: 'line:vent',
      below: true,
      bore: 8,
      route: [
        { x: 0, z: 50 },
        { x: 200, z: 0 },
        { x: 400, z: 50 },
      ],
    });
    job.say('clampPut', { key: 'line:vent', end: 'tank', kind: 'ear', plastic: false, bead: true, again: true });
    expect(debts(job.state)).toHaveLength(2);
    expect(saidOf(job.state, 'line:vent').map(({ verdict }) => verdict.outcome)).toEqual(['bad', 'bad', 'good']);
    expect(recordLines(job.state).map(({ text }) => inWords(text))).toContain(
      'front vent hose, clamp at the tank: an ear clamp is cut to come off and never used again',
    );
  });
  test('points close together, and a hose that goes back on itself, are taken as they were drawn', () => {
    const job = tell({ complaint: 'hose', vehicle: van });
    const runs = (route: { x: number; z: number }[]) =>
      job.say('hoseRuns', { key: 'line:vent', below: true, bore: 8, route });
    runs([
      { x: 0, z: 40 },
      { x: 3, z: 39 },
      { x: 200, z: 0 },
      { x: 400, z: 40 },
    ]);
    expect(job.state.ways['line:vent']!.at(-1)!.verdict.outcome).toBe('bad');
    runs([
      { x: 0, z: 0 },
      { x: 200, z: 60 },
      { x: 100, z: 120 },
    ]);
    expect(job.state.ways['line:vent']!.at(-1)!.verdict.outcome).not.toBe('bad');
  });
  test('two tablets that knew nothing of each other: the gravest counts, whichever comes first', () => {
    const job = tell({ complaint: 'hose', vehicle: van });
    const bad = elsewhere(job.log, 1, { kind: 'hoseSeen', body: { ...cracked, is: ['cracked'] } });
    const before = [...job.log];
    job.say('hoseSeen', { key: 'line:vent', grade: 'R7', bore: 8, is: ['sound'] });
    const [fresh] = job.log.slice(before.length);
    for (const order of [
      [...before, bad, fresh!],
      [...before, fresh!, bad],
    ])
      expect(debts(inThisOrder(order))).toHaveLength(1);
  });
  test.each([
    ['hoseSeen', { key: 'line:feed', grade: 'R99', is: ['sound'] }, 'grade'],
    ['hoseSeen', { key: 'line:feed', grade: 'R9', is: [] }, 'is'],
    [
      'hoseRuns',
      {
        key: 'line:vent',
        below: true,
        route: [
          { x: 0, z: 0 },
          { x: 9, z: 9 },
        ],
      },
      'bore',
    ],
    [
      'hoseRuns',
      {
        key: 'line:vent',
        below: true,
        bore: 8,
        route: [
          { x: 0, z: 0 },
          { x: 0, z: 0 },
        ],
      },
      'route[1]',
    ],
    [
      'clampPut',
      { key: 'line:vent', end: 'tank', kind: 'worm', size: '#99', plastic: false, bead: true, again: false },
      'size',
    ],
  ] as const)('%s %j is refused with its field', (kind, body, field) => {
    expect(() => checkBody(kind, body)).toThrow(field);
  });
});
