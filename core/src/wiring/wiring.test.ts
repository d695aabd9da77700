import { InputError } from '../errors/index.ts';
import { checkBody, owed, recordLines } from '../job/index.ts';
import { tell } from '../job/testing.ts';
import { heightAt, litresAt } from '../sender/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { inWords } from '../quantity/index.ts';
import {
  groundOff,
  groundOhms,
  judgeBond,
  judgeJoined,
  judgeRefill,
  judgeWire,
  lostIn,
  ohmsPerKilometre,
  type RefillStep,
} from './index.ts';

const file: VehicleFile = {
  ...archetypes[0]!,
  sender: { emptyOhms: { lo: 19, typ: 20, hi: 21 }, fullOhms: { lo: 78, typ: 80, hi: 82 } },
};

describe('copper wire', () => {
  // ASTM B258 tables of solid copper at 20 °C, from memory: 3.277, 8.285, 20.95 Ω/km.
  test.each([
    [10, 3.277],
    [14, 8.285],
    [18, 20.95],
  ])('gauge %d: %d Ω/km', (gauge, ohms) => {
    expect(ohmsPerKilometre(gauge)).toBeCloseTo(ohms, gauge === 18 ? 2 : 3);
  });
  test('warmer it has more, automotive wire is thinner', () => {
    expect(ohmsPerKilometre(14, { celsius: 60 }) / ohmsPerKilometre(14)).toBeCloseTo(1 + 40 * 0.00393, 9);
    expect(ohmsPerKilometre(14, { automotive: true })).toBeCloseTo(9.32, 2);
  });
  test('gauge 14 over 4 m at 6 A loses 0.20 V; both ways twice that', () => {
    const wire = { amps: 6, metres: 4, gauge: 14 } as const;
    expect(lostIn({ ...wire, back: 'chassis' })).toBeCloseTo(0.2, 2);
    expect(lostIn({ ...wire, back: 'wire' })).toBeCloseTo(0.4, 2);
    expect(groundOhms(0.1, 6) * 1000).toBeCloseTo(17, 0);
  });
  test.each([
    ['sound', {}, 'good'],
    ['too thin for its length', { gauge: 18, metres: 8 }, 'bad'],
    ['more than it carries', { gauge: 18, amps: 12, metres: 1 }, 'bad'],
    ['a fuse beyond the wire', { fuse: 30 }, 'bad'],
    ['a fuse too close', { fuse: 7 }, 'doubtful'],
    ['a fuse that suits', { fuse: 15 }, 'good'],
    ['a ground that loses 0.3 V', { ground: 0.3 }, 'bad'],
    ['a ground that loses 0.05 V', { ground: 0.05 }, 'good'],
  ] as const)('%s: %j is %s', (_, more, outcome) => {
    expect(judgeWire({ amps: 6, metres: 4, gauge: 14, back: 'chassis', ...more }).outcome).toBe(outcome);
  });
  test('the gauge that would do is named', () => {
    expect(judgeWire({ amps: 10, metres: 6, gauge: 16, back: 'chassis' }).next[0]).toBe('gauge 14 or thicker over 6 m');
  });
  test('bond of the neck, bad input', () => {
    expect([0.3, 4, 50].map((ohms) => judgeBond(ohms).outcome)).toEqual(['good', 'doubtful', 'bad']);
    expect(() => judgeBond(-1)).toThrow(InputError);
    expect(() => lostIn({ amps: 6, metres: 0, gauge: 14, back: 'wire' })).toThrow('metres');
    expect(() => groundOhms(0.1, 0)).toThrow('amps');
  });
});

describe('what a bad ground puts on the needle', () => {
  test('5 Ω are 8.3 % of the travel of a sender of 60 Ω', () => {
    const { height } = file.tank.shape;
    const mm = height / 2;
    // 5/60 of the travel, through the shape.
    expect(groundOff(file, { extra: 5, mm })).toBeCloseTo(
      litresAt(file, mm + (height * 5) / 60) - litresAt(file, mm),
      6,
    );
    expect(groundOff({ ...file, sender: null }, { extra: 5, mm })).toBeNull();
  });
  test('where full has the fewer ohms it shows too few', () => {
    const other = {
      ...file,
      sender: { emptyOhms: { lo: 238, typ: 240, hi: 242 }, fullOhms: { lo: 32, typ: 33, hi: 34 } },
    };
    expect(groundOff(other, { extra: 10, mm: 100 })!).toBeLessThan(0);
  });
});

describe('refill in steps, look and needle', () => {
  const capacity = file.tank.litres.typ;
  /** What a sound chain reads with so much in it. */
  const sound = (share: number): Required<RefillStep> => {
    const { height } = file.tank.shape;
    const mm = share * height;
    const litres = litresAt(file, mm);
    return {
      aboard: { lo: litres - 1, typ: litres, hi: litres + 1 },
      ohms: 20 + 60 * share,
      scan: (litres / capacity) * 100,
      needle: litres / capacity,
    };
  };
  const steps = (change: (step: Required<RefillStep>, i: number) => Partial<RefillStep>) =>
    [0.3, 0.55, 0.8].map((share, i) => ({ ...sound(share), ...change(sound(share), i) }));
  const text = (list: readonly RefillStep[]) => {
    const { outcome, reasons } = judgeRefill(list, file);
    return `${outcome}: ${inWords(reasons[0]!.text)}`;
  };
  test('all of it follows', () => {
    expect(heightAt(file, 50)).toBeCloseTo(file.tank.shape.height / 2, 6);
    expect(text(steps(() => ({})))).toBe('good: the needle follows what went in');
  });
  test('ohms off: the sender, by its pattern', () => {
    expect(text(steps(() => ({ ohms: 30 })))).toMatch(/^bad: the ohms do not change/);
    expect(text(steps(({ ohms }) => ({ ohms: ohms! - 9 })))).toMatch(/^bad: the ohms are off/);
    expect(text(steps((_, i) => (i === 1 ? { ohms: null } : {})))).toMatch(/^bad: open at the plug/);
  });
  test('ohms right, needle and scan tool off alike: ground or wire', () => {
    const grounded = steps(({ needle, scan }) => ({ needle: needle! + 0.15, scan: scan! + 15 }));
    expect(text(grounded)).toMatch(/^bad: needle and scan tool are off alike/);
  });
  test('scan tool right, needle off: the gauge', () => {
    expect(text(steps(({ needle }) => ({ needle: needle! - 0.2 })))).toMatch(
      /^bad: the scan tool is right and the needle off/,
    );
  });
  test('without ohms sender and ground look alike', () => {
    expect(text(steps(({ needle }) => ({ ohms: undefined, scan: undefined, needle: needle! + 0.2 })))).toMatch(
      /^unknown: off, and nobody read the ohms/,
    );
  });
  test('litres known badly hide a small error; one step proves nothing', () => {
    const vague = steps(({ needle, aboard }) => ({
      needle: needle! + 0.1,
      scan: undefined,
      aboard: { lo: aboard.lo - 12, typ: aboard.typ, hi: aboard.hi + 12 },
    }));
    expect(text(vague)).toBe('good: the needle follows what went in');
    expect(judgeRefill(steps(() => ({})).slice(0, 1), file).outcome).toBe('unknown');
    expect(judgeRefill([], file).outcome).toBe('unknown');
  });
});

describe('in the log', () => {
  test('each step keeps the litres its maker knew; a needle that is off is owed until it follows', () => {
    const job = tell({ complaint: 'pump', vehicle: file, gauge: 0.1 });
    const read = (litres: number, off: number) => {
      job.say('fill', { litres, from: 'new' });
      const { typ } = job.state.fuel.aboard;
      job.say('refillRead', { needle: Math.min(1, Math.max(0, typ / file.tank.litres.typ + off)) });
    };
    const debts = () => owed(job.state).filter(({ id }) => id.startsWith('refill'));
    read(15, 0.3);
    read(15, 0.3);
    expect(job.state.refill).toHaveLength(2);
    expect(job.state.refill[1]!.aboard.typ).toBeGreaterThan(job.state.refill[0]!.aboard.typ);
    // Nobody read the ohms: unknown, said and not owed.
    expect(debts()).toEqual([]);
    job.say('refillRead', { needle: 0.9, scan: 45, ohms: 20 });
    job.say('refillRead', { needle: 0.9, scan: 45, ohms: 20 });
    expect(debts()).toHaveLength(1);
    expect(inWords(recordLines(job.state).find(({ text }) => inWords(text).startsWith('needle'))!.text)).toMatch(
      /stuck/,
    );
  });
  test.each([
    [{}, 'needle'],
    [{ needle: 2 }, 'needle'],
    [{ scan: 140 }, 'scan'],
    [{ ohms: -3 }, 'ohms'],
    [{ ohms: 40, open: true }, 'open'],
  ])('%j is refused with its field', (body, field) => {
    expect(() => checkBody('refillRead', body)).toThrow(field);
  });
});

describe('wires, found and mended', () => {
  const debts = (job: ReturnType<typeof tell>) =>
    owed(job.state)
      .filter(({ key }) => key === 'wire' || key === 'bond' || key.startsWith('cut:'))
      .map(({ key, text }) => `${key.split(':')[0]}: ${inWords(text)}`);
  const sound = { amps: 6, metres: 4, gauge: 14, back: 'chassis' } as const;
  test('what is bad of the wire or the bond is owed until it was read again and good', () => {
    const job = tell({ complaint: 'pump', vehicle: file });
    job.say('wireTried', { ...sound, ground: 0.3 });
    job.say('bondRead', { ohms: 200 });
    expect(debts(job)).toEqual([
      'wire: wire to the pump: the ground is not sound',
      'bond: bond of the neck: a charge from the nozzle does not run off the neck',
    ]);
    job.say('wireTried', { ...sound, ground: 0.04, seen: ['chafe'] });
    expect(debts(job)[0]).toBe('wire: wire to the pump: chafed, or lying on an edge');
    job.say('wireTried', { ...sound, ground: 0.04, seen: [] });
    job.say('bondRead', { ohms: 0.3 });
    expect(debts(job)).toEqual([]);
  });
  test('a wire cut on the way is owed until it was joined, tugged and tried', () => {
    const job = tell({ complaint: 'pump', vehicle: file });
    const id = job.say('cut', { what: 'wire', where: 'at the hitch', tried: [] });
    const cut = `cut:${id}`;
    expect(debts(job)).toEqual(['cut: wire cut at the hitch: not joined and tried yet']);
    job.say('wireJoined', { cut, how: 'sleeve', tugged: true, tried: false });
    expect(debts(job)).toEqual(['cut: wire cut at the hitch: what hangs on it was not tried yet']);
    job.say('wireJoined', { cut, how: 'sleeve', tugged: true, tried: true });
    expect(debts(job)).toEqual([]);
    expect(judgeJoined({ how: 'twisted', tugged: true, tried: true }).outcome).toBe('bad');
  });
  test('volts that were measured outrank those reckoned; far more than copper loses is a bad joint', () => {
    const text = (wire: Parameters<typeof judgeWire>[0]) => inWords(judgeWire(wire).reasons[0]!.text);
    expect(judgeWire({ ...sound, gauge: 18, metres: 8, feed: 0.3 }).outcome).toBe('good');
    expect(text({ ...sound, feed: 0.45 })).toMatch(/more is lost than copper/);
    expect(text({ ...sound, feed: 0.9 })).toMatch(/too much is lost in the feed/);
  });
});
