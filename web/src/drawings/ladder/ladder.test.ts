import { hang, seeds, some } from '../testing.ts';
import { bar, FULL } from './layout.ts';

describe('the ladder', () => {
  test.each(seeds)('vehicle %d: solid for what is certain, hatched for what is guessed, shortest first', (seed) => {
    const { holders } = hang(some(seed)).stop;
    for (const holder of holders) {
      const { solid, guessed } = bar(holder);
      // Drawn lengths read back as the core's millimetres, as far as the scale goes.
      expect(solid * FULL).toBeCloseTo(Math.min(FULL, holder.room.lo), 9);
      expect((solid + guessed) * FULL).toBeCloseTo(Math.min(FULL, holder.room.hi), 9);
    }
    holders.slice(1).forEach((h, i) => expect(h.room.lo).toBeGreaterThanOrEqual(holders[i]!.room.lo));
  });
});
