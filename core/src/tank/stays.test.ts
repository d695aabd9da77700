import { describe, expect, test } from '@jest/globals';
import { exactly } from '../estimate/index.ts';
import { inWords } from '../quantity/index.ts';
import { noTilt, type TankShape } from '../shape/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import { usualArchetypes } from '../vehicle/testing.ts';
import { behindSills, staysAboard, tankOutlet, tiltReach, tiltSentence } from './stays.ts';

const usual = usualArchetypes[0]!;
const feed = usual.connections.find(({ kind }) => kind === 'feed')!;
const vent = usual.connections.find(({ kind }) => kind === 'vent')!;
/** A file of 1000 mm with its feed line at 300; a second line first, so that the feed must be looked for. */
const fileOf = (shape: TankShape, more: Partial<VehicleFile> = {}): VehicleFile => ({
  ...usual,
  ends: ['front', 'rear'],
  length: 1000,
  connections: [
    { ...vent, x: 900 },
    { ...feed, x: 300 },
  ],
  tank: {
    ...usual.tank,
    shape,
    litres: { lo: 190, typ: 200, hi: 210, basis: { kind: 'measured' } },
    unusable: { lo: 1, typ: 2, hi: 3 },
  },
  ...more,
});
/** 2000 × 400 × 250 mm are 200 L; half the scale of the file. */
const box: TankShape = { kind: 'box', length: 2000, width: 400, height: 250 };
/** Two lobes over a hump of 150 mm from 400 to 600 mm of its length. */
const lobes: TankShape = {
  kind: 'lobes',
  over: 'x',
  length: 1000,
  width: 400,
  height: 250,
  hump: { from: 400, to: 600, height: 150, slope: 20 },
};
const table: TankShape = {
  kind: 'table',
  length: 1000,
  width: 400,
  height: 250,
  rows: [
    [0, 0],
    [250, 100],
  ],
};

describe('where the pick-up takes fuel', () => {
  test('as the file says, and then it is no guess', () => {
    const told = fileOf(box);
    expect(tankOutlet({ ...told, tank: { ...told.tank, outlet: { x: 111, y: 222, z: 33 } } })).toEqual({
      at: [111, 222, 33],
      guessed: false,
    });
  });
  test('else under the feed line, scaled to the shape, in its middle across, ten above the floor', () =>
    expect(tankOutlet(fileOf(box))).toEqual({ at: [600, 200, 10], guessed: true }));
  test('without a feed line in the middle', () =>
    expect(tankOutlet(fileOf(box, { connections: [] }))).toEqual({ at: [1000, 200, 10], guessed: true }));
  test('in the sump where there is one', () => {
    const sump = { ...box, sump: { x: 1500, y: 100, length: 200, width: 150, depth: 40 } } as TankShape;
    expect(tankOutlet(fileOf(sump)).at.slice(0, 2)).toEqual([1500, 100]);
  });
  test('in the first lobe, along or across', () => {
    expect(tankOutlet(fileOf(lobes)).at).toEqual([200, 200, 10]);
    const across = { ...lobes, over: 'y', width: 1000, length: 400 } as TankShape;
    expect(tankOutlet(fileOf(across)).at).toEqual([200, 200, 10]);
    const wide = { ...lobes, over: 'y', width: 1000, length: 600 } as TankShape;
    expect(tankOutlet(fileOf(wide)).at).toEqual([300, 200, 10]);
  });
  test('of a level table nobody knows more than its middle', () =>
    expect(tankOutlet(fileOf(table))).toEqual({ at: [500, 200, 10], guessed: true }));
  test('a pick-up that would stand below a rounded floor is lifted until it stands inside', () => {
    // A lying cylinder of 300: its floor is at 0 only in the middle, so at the middle across ten is inside.
    const round = { kind: 'cylinder', length: 1000, width: 300, height: 300 } as TankShape;
    expect(tankOutlet(fileOf(round)).at).toEqual([300, 150, 10]);
  });
});

describe('what stays; boxes reckoned by hand', () => {
  test('under a pick-up ten above the floor of 200 L: 10 of 250 mm, 4 % of what it holds', () => {
    const stays = staysAboard(fileOf(box), exactly(100));
    expect(stays.litres.lo).toBeCloseTo(0.04 * 190, 6);
    expect(stays.litres.typ).toBeCloseTo(0.04 * 200, 6);
    expect(stays.litres.hi).toBeCloseTo(0.04 * 210, 6);
    expect(stays.pockets.map(({ where }) => where)).toEqual(['under the pick-up']);
    expect(stays.trapped).not.toBeNull();
  });
  test('never more than is aboard, end by end', () => {
    const stays = staysAboard(fileOf(box), { lo: 1, typ: 7.8, hi: 100, basis: { kind: 'measured' } });
    expect(stays.litres).toMatchObject({ lo: 1, typ: 7.8 });
    expect(stays.litres.hi).toBeCloseTo(8.4, 6);
  });
  test('behind a hump of 150 the far lobe keeps what stands below its crest', () => {
    const file = fileOf(lobes);
    const stays = staysAboard(file, exactly(200));
    expect(stays.pockets.map(({ where, kind }) => [where, kind])).toContainEqual(['behind the hump', 'sill']);
    const sills = behindSills(file);
    expect(sills.crest).toBeCloseTo(150, 6);
    // At the file’s most, since nobody knows better.
    const behind = stays.pockets.find(({ kind }) => kind === 'sill')!.litres;
    expect(sills.litres).toBeCloseTo(behind.hi, 6);
    expect(behind.hi / behind.lo).toBeCloseTo(210 / 190, 6);
  });
  test('a plain box has no sill; a table keeps what the file calls unusable', () => {
    expect(behindSills(fileOf(box))).toEqual({ litres: 0, crest: 0 });
    expect(behindSills(fileOf(table))).toEqual({ litres: 0, crest: 0 });
    expect(staysAboard(fileOf(table), exactly(2.5))).toMatchObject({
      litres: { lo: 1, typ: 2, hi: 2.5 },
      pockets: [],
      trapped: null,
    });
  });
});

describe('the tilt as somebody does it', () => {
  const best = (tilt: { x: number; y: number }, stays: number, level: number) => ({ tilt, stays, level });
  const said = (file: VehicleFile, ...of: Parameters<typeof best>) => {
    const sentence = tiltSentence(file, best(...of));
    return sentence === null ? null : inWords(sentence);
  };
  test('reach: the file’s limit over its length', () => {
    // atan(100/1000) is 5.7106°.
    const reach = tiltReach(fileOf(box, { tiltLimit: 100 }));
    expect(reach.x).toBeCloseTo(5.7106, 4);
    expect(reach.y).toBeCloseTo(5.7106, 4);
  });
  test('along: which end goes down, how far the other is raised, what it frees', () => {
    // tan 4° · 2000 is 139.9 mm; 8 of 200 L are 7.6 to 8.4 of what the file says.
    expect(said(fileOf(box), { x: 4, y: 0 }, 2, 10)).toBe(
      '4° down to the rear frees 7.5–8.5 L more: raise the front 140 mm',
    );
    expect(said(fileOf(box), { x: -4, y: 0 }, 2, 10)).toMatch(/down to the front.*raise the rear 140 mm/);
  });
  test('across, and both; under 0.3° nobody does it', () => {
    // tan 5° · 400 is 35 mm.
    expect(said(fileOf(box), { x: 0, y: 5 }, 2, 10)).toMatch(/^5° down to the far side .*raise the near side 35 mm$/);
    const both = said(fileOf(box), { x: 4, y: -5 }, 2, 10)!;
    expect(both).toMatch(/4° down to the rear and 5° down to the near side/);
    expect(both).toMatch(/raise the front 140 mm, raise the far side 35 mm/);
    expect(said(fileOf(box), { x: 0.2, y: 0.1 }, 2, 10)).toBeNull();
    expect(said(fileOf(box), { x: 0.3, y: 0 }, 2, 10)).not.toBeNull();
  });
  test('what frees less than a fifth of a litre is not worth it; little is said finer', () => {
    expect(said(fileOf(box), { x: 4, y: 0 }, 10, 10.1)).toBeNull();
    expect(said(fileOf(box), { x: 4, y: 0 }, 10, 10.4)).toMatch(/frees 0.4 L/);
    expect(said(fileOf(box), noTilt, 2, 10)).toBeNull();
  });
});
