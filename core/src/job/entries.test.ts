import { checkBody, type EntryKind } from './index.ts';
import fc from 'fast-check';
import { InputError } from '../errors/index.ts';
import { kinds } from './kinds.ts';
import { anyLog } from './testing.ts';

describe('bodies', () => {
  test('every kind has a class, and every entry of a random log fits its own', () => {
    expect(new Set(kinds.map((k) => k.kind)).size).toBe(kinds.length);
    fc.assert(
      fc.property(anyLog(), (log) => {
        for (const entry of log) expect(() => checkBody(entry.kind, entry.body)).not.toThrow();
      }),
      { numRuns: 60 },
    );
  });

  test.each<[EntryKind, unknown, RegExp]>([
    ['fill', { litres: -3 }, /body\.litres/],
    ['stopDone', { to: { f: 10.5, r: 10 }, off: [], capped: [], look: {}, notDone: [] }, /body\.to\.f/],
    ['stopDone', { off: [], capped: [], notDone: [] }, /body\.(to|look)/],
    ['gateItem', { gate: 9, item: 'air', answer: 'yes' }, /body\.gate/],
    ['identity', { plate: '', mileage: 1, unit: 'km' }, /body\.plate/],
    ['note', { text: 'x', colour: 'red' }, /colour/],
    ['note', 'text', /an object/],
    ['tankShape', { shape: { kind: 'box', length: 0, width: 1, height: 1 } }, /length/],
    ['tankShape', { shape: { kind: 'lobes', length: 900, width: 300, height: 200 } }, /shape/],
    [
      'tankShape',
      { shape: { kind: 'box', length: 900, width: 300, height: 200 }, outlet: { x: 950, y: 100, z: 10 } },
      /inside the tank/,
    ],
    ['fuelMoved', { what: 'drunk', litres: 1 }, /what/],
    ['nonsense' as EntryKind, {}, /kind of entry/],
  ])('%s %j says where it is wrong', (kind, body, message) => {
    expect(() => checkBody(kind, body)).toThrow(InputError);
    expect(() => checkBody(kind, body)).toThrow(message);
  });
});
