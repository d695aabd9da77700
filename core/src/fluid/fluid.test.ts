import { InputError } from '../errors/index.ts';
import { safeFill, volumeCorrection } from './index.ts';

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
