import { logWriter, foldJob, planSheet, archetypes } from '@iron-cradle/core';
import { randomVehicle, seeded } from '@iron-cradle/core/rehearsal';
import { layoutSheet, PAGE, wrap } from './layout.ts';

describe('the plan on one page', () => {
  test.each(archetypes.map((a) => a.id))('%s: every step is on the page, nothing stands on another', (id) => {
    for (let seed = 0; seed < 6; seed++) {
      const base = archetypes.find((a) => a.id === id)!;
      const vehicle = seed === 0 ? base : randomVehicle(base, seeded(seed));
      const state = foldJob(null, [logWriter('job')('opened', { name: 'x', complaint: 'pump', vehicle })])!;
      const sheet = planSheet(state);
      const at = layoutSheet(sheet, seed % 2 === 0 ? 'metric' : 'us');
      for (const [leg, stops] of [
        [at.down, sheet.down],
        [at.up, sheet.up],
      ] as const) {
        const said = leg.flatMap((s) => s.lines.map((l) => l.text)).join(' ');
        expect(said).toBe(stops.flatMap((s) => s.steps).join(' '));
        const ys = leg.flatMap((s) => [s.y, ...s.lines.map((l) => l.y)]);
        expect([...ys].sort((a, b) => a - b)).toEqual(ys);
        for (const y of ys) expect(y).toBeLessThan(at.asksY);
      }
      for (const a of at.asks) expect(a.y).toBeLessThan(PAGE.height - 66);
    }
  });

  test('breaks at spaces, loses no word', () => {
    expect(wrap('press both tabs right in', 10)).toEqual(['press both', 'tabs right', 'in']);
    expect(wrap('incomprehensibilities of it', 8)).toEqual(['incomprehensibilities', 'of it']);
  });
});
