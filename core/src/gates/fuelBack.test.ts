import { inWords } from '../quantity/index.ts';
import { exactly } from '../estimate/index.ts';
import type { VehicleFile } from '../vehicle/index.ts';
import { fuelBack } from './index.ts';
import { rail, start } from './testing.ts';

/** A box of 1 m by 0.4 by 0.2, 80 L; a vent on its roof at the front end, a filler at the rear. */
const box: VehicleFile = {
  ...rail,
  length: 1000,
  tiltLimit: 300,
  tank: {
    ...rail.tank,
    litres: exactly(80),
    unusable: exactly(3),
    emptyMass: exactly(12),
    shape: { kind: 'box', length: 1000, width: 400, height: 200 },
  },
  connections: rail.connections.map((line) => ({ ...line, x: line.id === 'filler' ? 1000 : 0, side: 'middle' })),
};
const drained = (vehicle = box) => {
  const job = start(vehicle);
  job.say('fuelWitness', { witness: 'dip', reading: 0 });
  return job;
};

describe('fuel put back on the bench', () => {
  test('3 L stay below the pick-up and 5 push: 8 L are needed, and eight cover it', () => {
    const { state } = drained();
    expect(fuelBack(state, 0).needed).toBe(8);
    expect(fuelBack(state, 4).verdict.reasons.map(({ text }) => inWords(text))).toContain(
      'not surely enough over the pick-up: the test stop proves plug, sender and ground',
    );
    expect(
      fuelBack(state, 9)
        .verdict.reasons.map(({ text }) => inWords(text))
        .join(),
    ).toContain('covers the pick-up');
  });
  test('its weight: 12 kg empty and 10 L of petrol are 19.5 kg', () => {
    // EN 228 density, from memory: 0.745 kg a litre at 15 °C.
    expect(fuelBack(drained().state, 10).mass.typ).toBeCloseTo(12 + 7.45, 1);
  });
  test('tipped until it stands at an open port: a wedge of fuel, worked out by hand', () => {
    const job = drained();
    job.say('cleared', { key: 'line:filler' });
    const { hi } = job.state.fuel.aboard;
    // The dip leaves a little that may be in it. The roof stands 200 mm up: a wedge ½ · b · 200 · 400 holds it, and tips by 200 in b.
    const wedge = (2 * (20 + hi) * 1e6) / (200 * 400);
    const tilt = fuelBack(job.state, 20).tilt!;
    expect(Math.abs(tilt - (200 / wedge) * 1000)).toBeLessThanOrEqual(8);
    expect(fuelBack(job.state, 20).at).toMatch(/rear/);
    // With 60 L the air is the wedge: its mean depth over 0.4 m², twice that from end to end.
    const full = fuelBack(job.state, 60);
    expect(Math.abs(full.tilt! - (2 * (80 - 60 - hi)) / 0.4)).toBeLessThanOrEqual(8);
    expect(full.verdict.reasons.map(({ text }) => inWords(text)).join()).toContain('tipped further than this');
  });
  test('every port shut: no tilt is too much for them', () => {
    expect(fuelBack(drained().state, 20).tilt).toBeNull();
  });
});
