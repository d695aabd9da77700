import { inWords } from '../quantity/index.ts';
import { exactly } from '../estimate/index.ts';
import { bestTilt, type TankShape } from '../shape/index.ts';
import { twoLobes } from '../shape/testing.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import {
  FIRST_FILL,
  levelShare,
  spillTilt,
  staysAboard,
  tankOutlet,
  tiltReach,
  tiltSentence,
  witnessLitres,
} from './index.ts';
import { fuelAboard } from './aboard.ts';

const rail = archetypes[0]!;
const withShape = (shape: TankShape, more: Partial<VehicleFile['tank']> = {}): VehicleFile => ({
  ...rail,
  tank: { ...rail.tank, shape, ...more },
});
const exact = (value: number) => ({ lo: value, typ: value, hi: value });
const lobes: TankShape = twoLobes;
/** Area of the profile by hand: rectangle less the trapezoid of the hump. */
const FULL = (1000 * 250 - ((240 + 180) / 2) * 100) * 400 * 1e-6;
const minibus = withShape(lobes, { litres: exact(FULL), outlet: { x: 150, y: 200, z: 10 } });

describe('what stays in a tank of two lobes', () => {
  test('behind the hump and under the pick-up, by hand, and never more than is aboard', () => {
    const stays = staysAboard(minibus, exactly(60));
    expect(stays.pockets.map((p) => p.where)).toEqual(['behind the hump', 'under the pick-up']);
    expect(stays.pockets[0]!.litres.typ).toBeCloseTo((360 + 15) * 100 * 400 * 1e-6, 6);
    expect(stays.litres.typ).toBeCloseTo((375 * 100 + 401.5 * 10) * 400 * 1e-6, 6);
    expect(staysAboard(minibus, exactly(4)).litres.hi).toBe(4);
  });
  test('the best tilt in the words of a person, with what to raise', () => {
    const best = bestTilt(lobes, { outlet: tankOutlet(minibus).at, reach: { x: 8, y: 0 } });
    expect(inWords(tiltSentence(minibus, best)!)).toMatch(/down to the front frees .* L more: raise the rear \d+ mm/);
    expect(tiltSentence(minibus, { ...best, stays: best.level })).toBeNull();
    expect(tiltReach(rail).x).toBeCloseTo((Math.atan(60 / 1100) * 180) / Math.PI, 9);
  });
  test('a pick-up nobody placed stands in a lobe, a little above the floor, and says it is a guess', () => {
    expect(tankOutlet(withShape(lobes))).toEqual({ at: [200, 200, 10], guessed: true });
    expect(tankOutlet(minibus).guessed).toBe(false);
  });
});

describe('a hump hides one lobe from the other', () => {
  test('a dip below its crest leaves the other lobe open from empty to its crest; above it, nothing is hidden', () => {
    const behind = 375 * 100 * 400 * 1e-6;
    const low = witnessLitres(minibus, 'dip', 40);
    // 40 ± 8 mm: near lobe and far lobe by hand, 30 mm of flank in 100 on each side of the hump.
    const both = (h: number) => ((400 + 360) * h + 0.3 * h * h) * 400 * 1e-6;
    expect(low.typ).toBeCloseTo(both(40), 6);
    expect(low.lo).toBeCloseTo(Math.max(0, both(32) - behind), 6);
    expect(low.hi).toBeCloseTo(both(48) + behind, 6);
    const high = witnessLitres(minibus, 'dip', 180);
    expect(high.hi - high.lo).toBeCloseTo(16 * 1000 * 400 * 1e-6, 6);
  });
  test('ran dry says nothing of what stands behind it', () => {
    const dry = witnessLitres(minibus, 'ranDry', null);
    expect(dry.lo).toBe(0);
    expect(dry.hi).toBeCloseTo(minibus.tank.unusable.hi + 375 * 100 * 400 * 1e-6, 6);
    expect(witnessLitres(rail, 'ranDry', null).hi).toBe(rail.tank.unusable.hi);
  });
});

describe('fuel at an open port', () => {
  test('a half-full box whose filler is at its end: when the low end is full, tan θ = 100 / 500', () => {
    const file = withShape({ kind: 'box', length: 1000, width: 400, height: 200 }, { litres: exact(80) });
    const line = { ...file.connections[0]!, x: file.length, name: 'filler hose', side: 'top' };
    const spill = spillTilt(file, 40, [line])!;
    expect(spill).toMatchObject({ end: 'rear', port: 'filler hose' });
    expect(spill.degrees).toBeCloseTo((Math.atan(100 / 500) * 180) / Math.PI, 6);
    expect(spillTilt(file, 0, [line])).toBeNull();
  });
  test('a first fill is two to two and a half gallons (common practice, no source)', () => {
    expect(FIRST_FILL.lo).toBeGreaterThan(2 * 3.785411784);
    expect(FIRST_FILL.lo).toBeLessThan(2.5 * 3.785411784);
    expect(FIRST_FILL.hi).toBeLessThan(3 * 3.785411784);
  });
});

describe('witnesses through the shape', () => {
  test('a dip of half its height in a lying cylinder is half; a quarter is 19.55 % (segment of a circle)', () => {
    const round = withShape({ kind: 'cylinder', length: 1000, width: 300, height: 300 }, { litres: exact(60) });
    expect(witnessLitres(round, 'dip', 150).typ).toBeCloseTo(30, 1);
    expect(witnessLitres(round, 'dip', 75).typ / 60).toBeCloseTo(0.1955, 3);
    expect(levelShare(round, 30)).toBeCloseTo(0.5, 3);
  });
  test('ohms of a falling sender stand for a height: 400 Ω between 20 full and 990 empty', () => {
    const sender = { emptyOhms: exact(990), fullOhms: exact(52) };
    const file = {
      ...withShape({ kind: 'box', length: 1000, width: 400, height: 200 }, { litres: exact(80) }),
      sender,
    };
    expect(witnessLitres(file, 'ohms', 521).typ).toBeCloseTo(40, 6);
    expect(witnessLitres(file, 'ohms', 52).typ).toBeCloseTo(80, 6);
    expect(() => witnessLitres(file, 'ohms', 5000)).toThrow(/what this sender can read/);
    expect(() => witnessLitres(rail, 'ohms', 40)).toThrow(/empty and full/);
  });
  test('bursts until dry say what was aboard when they began: 300 s at 1–2.4 L/min and 1–6 L left', () => {
    const said = witnessLitres(rail, 'bursts', 300);
    expect([said.lo, said.typ, said.hi]).toEqual([5 + 1, 8 + 3, 12 + 6]);
  });
  test('what reads a sender that is the complaint is shown and does not count', () => {
    const gauge = {
      id: 'g',
      kind: 'gauge' as const,
      reading: 1,
      litres: witnessLitres(rail, 'gauge', 1),
      outBefore: 0,
      inBefore: 0,
    };
    const told = fuelAboard(rail, { witnesses: [gauge], out: 0, filled: 0, senderSuspect: true });
    expect(told.steps[0]!.counts).toBe(false);
    expect(told.sources).toEqual([]);
    expect(told.aboard.lo).toBe(0);
  });
});
