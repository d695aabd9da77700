import { describe, expect, test } from '@jest/globals';
import { exactly } from '../estimate/index.ts';
import type { Entry } from '../job/index.ts';
import { elsewhere, inThisOrder as folded, jobAt } from '../job/testing.ts';
import { usualArchetypes } from '../vehicle/testing.ts';

/** A box of 100 L, so that litres are heights times 0.4. */
const van = {
  ...usualArchetypes[0]!,
  length: 1000,
  tank: {
    ...usualArchetypes[0]!.tank,
    shape: { kind: 'box' as const, length: 1000, width: 400, height: 250 },
    litres: exactly(100),
    unusable: { lo: 1, typ: 2, hi: 3 },
  },
};

describe('two tablets say different things of the litres', () => {
  const job = jobAt({ vehicle: van });
  job.log('fuelWitness', { witness: 'dip', reading: 125 });
  const log = [...job.entries];
  const on = log.at(-1)!.id;
  // Here twenty litres were drained into a can, there ten were filled in; neither knew of the other.
  job.log('container', { number: 1, capacity: 25, litres: 20, clean: true });
  const out = { ...job.entries.at(-1)!, on } as Entry;
  const filled = elsewhere(log, 1, { kind: 'fill', body: { litres: 10, from: 'new' }, on });

  test('unsettled: the widest of what each alone would say, in either order of delivery', () => {
    const orders = [folded([...log, out, filled]), folded([...log, filled, out])];
    const dipped = folded(log).fuel.aboard;
    for (const state of orders) {
      expect(Object.keys(state.twoDevices)).toContain('fuel');
      const { aboard, sources } = state.fuel;
      expect(sources).toEqual([]);
      // Drained alone: some 20 less than was dipped; filled alone: some 10 more.
      expect(aboard.lo).toBeLessThanOrEqual(dipped.lo - 20);
      expect(aboard.hi).toBeGreaterThanOrEqual(dipped.hi + 10);
      expect(aboard.typ).toBeCloseTo((aboard.lo + aboard.hi) / 2, 9);
    }
    expect(orders[0]!.fuel.aboard).toEqual(orders[1]!.fuel.aboard);
  });
  test('settled: what was said stands from then on, and what comes out afterwards is counted from it', () => {
    const state = folded([...log, out, filled]);
    const whole = [...log, out, filled];
    const settled = elsewhere(whole, 2, {
      kind: 'settled',
      body: { key: 'fuel', litres: 42, entries: state.twoDevices.fuel!.open },
      on: filled.id,
    });
    const after = folded([...whole, settled]);
    expect(after.twoDevices.fuel?.open).toEqual([]);
    const said = after.witnesses.find(({ id }) => id === 'b2')!;
    expect(said).toMatchObject({ kind: 'dip', reading: null, outBefore: 20, inBefore: 10 });
    expect(said.litres).toMatchObject({ lo: 42, typ: 42, hi: 42 });
    expect(after.fuel.steps.some(({ id }) => id === 'b2')).toBe(true);
  });
  test('settled about something else moves no litre', () => {
    const before = folded([...log, out]);
    const other = elsewhere([...log, out], 2, {
      kind: 'settled',
      body: { key: 'pose', entries: [], pose: { f: 0, r: 0 } },
      on: out.id,
    });
    expect(folded([...log, out, other]).witnesses).toHaveLength(before.witnesses.length);
  });
});
