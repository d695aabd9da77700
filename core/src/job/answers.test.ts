import { archetypes, SEALED } from '../vehicle/index.ts';
import { answerOf } from '../questions/index.ts';
import { type Bodies, checkBody, foldJob, logWriter } from './index.ts';
import { jobAt } from './testing.ts';

const crosswise = archetypes[1]!;
const write = logWriter('job');
const opened = write('opened', { name: 'Van', complaint: 'pump', vehicle: crosswise, gauge: 0.5 });
const told = (...answers: Bodies['answer'][]) =>
  foldJob(null, [opened, ...answers.map((body) => write('answer', body))])!;
const slack = (of: string, value: string | number) => ({ question: 'slack', of, value });

const blocks = (value: string) => ({ question: 'blocks', of: 'exhaust', value });

describe('an answer to a question that matters', () => {
  const before = told();
  test.each([
    ['short', (s: typeof before.slack.feed) => s!.hi === before.slack.feed!.typ],
    ['long', (s: typeof before.slack.feed) => s!.typ > before.slack.feed!.typ],
    ['hidden', (s: typeof before.slack.feed) => JSON.stringify(s) === JSON.stringify(before.slack.feed)],
  ] as const)('%s: the safe end of the line stays where it was', (value, fits) => {
    const told1 = told(slack('feed', value));
    expect(told1.slack.feed!.lo).toBe(before.slack.feed!.lo);
    expect(fits(told1.slack.feed)).toBe(true);
    expect(told1.slack.return).toEqual(before.slack.return);
  });
  test('a string makes it known, rounded to the safe side; nonsense moves nothing', () => {
    expect(told(slack('feed', 72.9)).slack.feed).toMatchObject({ lo: 72, typ: 72, hi: 72 });
    for (const odd of [-5, 'far', NaN]) {
      expect(told(slack('feed', odd)).slack.feed).toEqual(before.slack.feed);
      expect(() => checkBody('answer', slack('feed', odd))).toThrow(/0 to 2000, or short, or long, or hidden/);
    }
    expect(told(slack('moon', 'short')).slack).toEqual(before.slack);
  });
  test('not in the way: out of the plan, and back in when the answer is taken back', () => {
    const no = told(blocks('no'));
    expect(no.vehicle.obstructions.find((o) => o.id === 'exhaust')!.blocksAt).toBeNull();
    const job = jobAt({ vehicle: crosswise });
    job.log('answer', blocks('no'));
    const back = job.log('takeBack', { entry: job.entries.at(-1)!.id });
    expect(back.vehicle.obstructions.find((o) => o.id === 'exhaust')!.blocksAt).not.toBeNull();
    expect(told(blocks('hidden')).vehicle).toEqual(before.vehicle);
  });
  test('the vehicle of the file itself is never changed by a job', () => {
    const file = JSON.stringify(crosswise);
    told(blocks('no'), answerOf(SEALED, 'yes'), slack('feed', 'short'));
    expect(JSON.stringify(crosswise)).toBe(file);
    expect(opened.body.vehicle.tank.sealed).toBeUndefined();
  });
});

describe('a shape measured on the job', () => {
  const round = { kind: 'cylinder', length: 900, width: 300, height: 300 } as const;
  test('reads the witnesses anew: a dip of a third is no longer a third of the litres', () => {
    const dip = write('fuelWitness', { witness: 'dip', reading: 75 });
    const box = foldJob(null, [opened, dip])!;
    const measured = foldJob(box, [write('tankShape', { shape: round, litres: 60 })])!;
    // A quarter of the height of a lying cylinder is 19.55 % of it (segment of a circle).
    expect(measured.witnesses.find((w) => w.kind === 'dip')!.litres.typ).toBeCloseTo(0.1955 * 60, 1);
    expect(measured.vehicle.tank.litres).toMatchObject({ lo: 60, typ: 60, hi: 60, basis: { kind: 'measured' } });
    expect(box.vehicle.tank.shape.kind).toBe('box');
  });
  test('a witness that it can no longer have said is flagged, not kept', () => {
    const dip = write('fuelWitness', { witness: 'dip', reading: 210 });
    const flat = { ...round, width: 200, height: 200 };
    const state = foldJob(null, [opened, dip, write('tankShape', { shape: flat })])!;
    expect(state.witnesses.some((w) => w.kind === 'dip')).toBe(false);
    expect(state.flags.at(-1)!.text).toMatch(/0 to 200 mm/);
  });
});
