import { exactly } from '../estimate/index.ts';
import { inWords } from '../quantity/index.ts';
import { archetypes, type VehicleFile } from '../vehicle/index.ts';
import { onJack, tankMass } from './index.ts';

const rail = archetypes.find(({ id }) => id === 'archetype-rail')!;
const measured: VehicleFile = { ...rail, basis: 'measured' };

test('what a jack just carries empty it no longer carries once fuel is back in', () => {
  const rated = Math.ceil(tankMass(rail, exactly(0)).hi);
  const jack = { rated, pad: 400 };
  expect(onJack(measured, exactly(0), jack).verdict.outcome).not.toBe('bad');
  const full = onJack(measured, exactly(20), jack).verdict;
  expect(full.outcome).toBe('bad');
  expect(inWords(full.reasons[0]!.limit!)).toBe(`${rated} kg rated`);
});

test('the pad goes under the middle of the weight; two of them under the quarters, where the file says so and they stand apart', () => {
  const jack = { rated: 200, pad: 300 };
  const on = onJack(measured, exactly(0), jack);
  // An empty shell balances about its middle.
  expect(on.under).toBeCloseTo(rail.tank.shape.length / 2, 6);
  const { length } = rail.tank.shape;
  expect(on.two!.at).toEqual([length / 4, (3 * length) / 4]);
  const [first, second] = on.two!.loads;
  expect(first.typ).toBeCloseTo(tankMass(rail, exactly(0)).typ / 2, 6);
  expect(second.typ).toBeCloseTo(first.typ, 6);
  expect(onJack(measured, exactly(0), { rated: 200, pad: length / 2 }).two).toBeNull();
  expect(
    onJack({ ...measured, carriedBy: { ...rail.carriedBy!, by: ['board on a jack'] } }, exactly(0), jack).two,
  ).toBeNull();
});
