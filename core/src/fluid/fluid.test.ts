import { inWords } from '../quantity/index.ts';
import { InputError } from '../errors/index.ts';
import { kinematicViscosity, labelOf, safeFill, spillInWords, vapourPressure, type FuelKind } from './index.ts';
import { volumeCorrection } from './fuels.ts';
import { airingMinutes, flammableFrom } from './vapour.ts';
import { viscosityAt } from './viscosity.ts';

describe('volume correction, API MPMS 11.1 generalised products (coefficients from memory)', () => {
  test.each([
    [745, 30, 0.98171],
    [840, 35, 0.98304],
  ])('%d kg/m³ at %d °C', (density, celsius, expected) => {
    expect(volumeCorrection(density, celsius)).toBeCloseTo(expected, 5);
  });

  test('is one at 15 °C, falls with temperature, and the bands meet within a hundredth of a percent', () => {
    expect(volumeCorrection(800, 15)).toBe(1);
    expect(volumeCorrection(745, 20)).toBeGreaterThan(volumeCorrection(745, 25));
    for (const edge of [770, 787.5, 838.5])
      expect(Math.abs(volumeCorrection(edge - 0.01, 25) - volumeCorrection(edge + 0.01, 25))).toBeLessThan(1e-4);
  });

  test('refuses what no fuel is', () => {
    expect(() => volumeCorrection(100, 20)).toThrow(InputError);
    expect(() => volumeCorrection(745, 500)).toThrow(InputError);
  });
});

describe('safe fill', () => {
  test('filled at −10 °C for 40 °C: 94 %; filled at 0 °C: 95 % covers it', () => {
    // 94.1 % at 745 kg/m³; the lightest petrol of the range expands a little more and decides.
    expect(volumeCorrection(745, 40) / volumeCorrection(745, -10)).toBeCloseTo(0.941, 3);
    expect(safeFill('petrol', -10, 40)).toBeLessThan(0.941);
    expect(safeFill('petrol', -10, 40)).toBeGreaterThan(0.935);
    expect(safeFill('diesel', 0, 40)).toBeGreaterThan(safeFill('petrol', 0, 40));
  });
});

describe('viscosity over temperature (ASTM D341, from memory)', () => {
  test('2.8 at 40 °C and 4.5 at 20 °C give 8.44 at 0 °C, and both points back', () => {
    const known = [
      [40, 2.8],
      [20, 4.5],
    ] as const;
    expect(viscosityAt(known, 0)).toBeCloseTo(8.44, 2);
    expect(viscosityAt(known, 40)).toBeCloseTo(2.8, 9);
    expect(viscosityAt(known, 20)).toBeCloseTo(4.5, 9);
  });
  test('falls with temperature for both fuels', () => {
    for (const fuel of ['petrol', 'diesel'] as const)
      expect(kinematicViscosity(fuel, 0)).toBeGreaterThan(kinematicViscosity(fuel, 30));
    expect(() =>
      viscosityAt(
        [
          [20, 1],
          [20, 2],
        ],
        0,
      ),
    ).toThrow(InputError);
    expect(() =>
      viscosityAt(
        [
          [20, 0.1],
          [40, 2],
        ],
        0,
      ),
    ).toThrow(InputError);
  });
});

describe('vapour pressure (AP-42 chapter 7.1, slope 3, from memory)', () => {
  test('Reid 10 psi at 60 °F: 5.186 psi; Reid 60 kPa: 35.8 kPa at 20 °C and 68.3 at 40 °C', () => {
    const psi = 6894.757293168;
    expect(vapourPressure(10 * psi, (60 - 32) / 1.8) / psi).toBeCloseTo(5.186, 3);
    expect(vapourPressure(60_000, 20) / 1000).toBeCloseTo(35.8, 1);
    expect(vapourPressure(60_000, 40) / 1000).toBeCloseTo(68.3, 1);
  });
  test('near its Reid pressure at the test’s 37.8 °C, and refused outside its range', () => {
    expect(vapourPressure(60_000, 37.8) / 60_000).toBeGreaterThan(0.95);
    expect(vapourPressure(60_000, 37.8) / 60_000).toBeLessThan(1.12);
    expect(() => vapourPressure(5_000, 20)).toThrow(InputError);
  });
});

describe('what a spill does to the air', () => {
  test('one litre is 0.276 m³ of vapour and makes 19.7 m³ flammable', () => {
    expect(flammableFrom(1).vapour).toBeCloseTo(0.276, 3);
    expect(flammableFrom(1).mixture).toBeCloseTo(19.7, 1);
  });
  test('to a tenth takes 2.3 changes; at six an hour and mixing 3 that is 69 minutes', () => {
    expect(airingMinutes(1, 0.1, 1) / 60).toBeCloseTo(Math.LN10, 9);
    expect(Math.round(airingMinutes(6))).toBe(69);
    expect(() => airingMinutes(0)).toThrow(InputError);
  });
});

test('the sentence at the air carries the figures for petrol and none made up for diesel', () => {
  expect(inWords(spillInWords('petrol'))).toMatch(/20 m³.*70 minutes/);
  expect(inWords(spillInWords('diesel'))).not.toMatch(/m³/);
});

describe('what stands on a can (UN GHS chapters 2.6 and 3.10, from memory)', () => {
  const of = (fuel: FuelKind, clean = true, oil = false) => labelOf({ fuel, clean, oil });
  // Flammable liquid 1: flash below 23 °C, boils from 35 °C or lower; 2: boils higher; 3: flash to 60 °C.
  test.each([
    ['petrol', 'Extremely flammable', 'below -40 °C'],
    ['e85', 'Extremely flammable', 'below -20 °C'],
    ['ethanol', 'Highly flammable', 'above 13 °C'],
    ['diesel', 'Flammable liquid', 'above 55 °C'],
    ['biodiesel', 'Burns once it is hot', 'above 101 °C'],
  ] as const)('%s: %s, flash point %s', (fuel, hazard, flash) => {
    expect(of(fuel).hazards[0]).toMatch(new RegExp(`^${hazard}`));
    expect(inWords(of(fuel).flash).replace('−', '-')).toBe(flash);
  });

  test('alcohol burns unseen and takes its own cans; petrol and diesel are aspiration hazards', () => {
    expect(of('e85').hazards.join()).toMatch(/hardly seen/);
    expect(of('e85').care.join()).toMatch(/made for ethanol/);
    expect(of('ethanol').hazards.join()).not.toMatch(/swallowed/);
    for (const fuel of ['petrol', 'diesel', 'biodiesel'] as const) expect(of(fuel).hazards.join()).toMatch(/swallowed/);
  });

  test('what is suspect counts as the worst it may be, and never goes back; oil in the petrol is named', () => {
    expect(of('diesel', false).hazards[0]).toMatch(/^Extremely flammable/);
    expect(inWords(of('diesel', false).flash)).toMatch(/taken as .40 °C/);
    expect(of('petrol', false).care.join()).toMatch(/Not back into any tank/);
    expect(of('petrol', true).care.join()).not.toMatch(/Not back/);
    expect(of('petrol', true, true)).toMatchObject({ product: 'petrol with oil, clean' });
  });
});
