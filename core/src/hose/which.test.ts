import { archetypes } from '../vehicle/index.ts';
import { inWords } from '../quantity/index.ts';
import { judgeRun, spareLength, whichHose } from './index.ts';

const rail = archetypes[0]!;
const kindOf = (id: string) => rail.connections.find((line) => line.id === id)!.kind;

describe('which hose is which, without marks', () => {
  // Bores by the trade: common practice, no source.
  test.each([
    [{ bore: 38, breath: 'free' }, 'filler'],
    [{ bore: 19, breath: 'free' }, 'breather'],
    [{ bore: 8, breath: 'bubbles' }, 'feed'],
  ] as const)('%j is the %s', (known, kind) => {
    expect(kindOf(whichHose(rail, known)[0]!.id)).toBe(kind);
  });
  test('a place decides between two that fit alike, and what speaks against is said', () => {
    const vents = rail.connections.filter(({ kind }) => kind === 'vent');
    const [, other] = vents;
    expect(vents.length).toBeGreaterThanOrEqual(2);
    expect(whichHose(rail, { bore: 8, breath: 'free', x: other!.x })[0]!.id).toBe(other!.id);
    const filler = whichHose(rail, { bore: 8 }).find(({ id }) => kindOf(id) === 'filler')!;
    expect(filler.why).toEqual(['8 mm is no bore for it']);
  });
  test('nothing known: nobody is named before another', () => {
    expect(new Set(whichHose(rail, {}).map(({ fits }) => fits))).toEqual(new Set([0]));
  });
});

describe('long enough where it is made', () => {
  test('made at 60 mm, a hose that gives 45 is 15 too short; the file’s own counts at its least', () => {
    expect(spareLength(rail, { id: 'vent', at: 60, gives: 45 })).toBe(-15);
    const vent = rail.connections.find(({ id }) => id === 'vent')!;
    expect(spareLength(rail, { id: 'vent', at: 20 })).toBe(vent.slack.lo - 20);
    expect(spareLength(rail, { id: 'vent', at: null, gives: 5 })).toBe(5);
    expect(spareLength(rail, { id: 'moon', at: 20 })).toBeNull();
  });
});

describe('what it lies on', () => {
  const run = (rubs: ('frame' | 'exhaust' | 'brake')[], guarded: boolean) =>
    judgeRun({ below: false, rubs, guarded }, { breathes: true });
  test('nothing without a sleeve; a brake line and the exhaust never', () => {
    expect(run(['frame'], false).outcome).toBe('bad');
    expect(run(['frame'], true).outcome).toBe('good');
    expect(run(['exhaust'], true).outcome).toBe('bad');
    expect(run(['brake'], true).outcome).toBe('bad');
    expect(run([], false).outcome).toBe('good');
  });
  test('a dip that shuts it stands beside what it rubs on', () => {
    const route = [
      [0, 60],
      [200, -60],
      [400, 60],
    ] as const;
    const { reasons } = judgeRun({ below: true, route, bore: 19, rubs: ['frame'] }, { breathes: true });
    expect(reasons.map(({ text }) => inWords(text)).join()).toMatch(
      /rubs on the frame.*shuts it|shuts it.*rubs on the frame/,
    );
  });
});
