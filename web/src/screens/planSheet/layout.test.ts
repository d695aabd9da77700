import { logWriter, foldJob, planSheet, archetypes } from '@iron-cradle/core';
import { randomVehicle, seeded } from '@iron-cradle/core/rehearsal';
import { layoutSheet, PAGE, TYPE, wrap } from './layout.ts';

describe('the plan on paper', () => {
  test('nothing under 11 points, heights 14: an arm’s length away', () => {
    // 96 px and 72 points to the inch.
    expect((TYPE.text * 72) / 96).toBeGreaterThanOrEqual(11);
    expect((TYPE.height * 72) / 96).toBeGreaterThanOrEqual(14);
  });

  test.each(archetypes.map((a) => a.id))('%s: every step is on a page, nothing stands on another', (id) => {
    for (let seed = 0; seed < 6; seed++) {
      const base = archetypes.find((a) => a.id === id)!;
      const vehicle = seed === 0 ? base : randomVehicle(base, seeded(seed));
      const state = foldJob(null, [logWriter('job')('opened', { name: 'x', complaint: 'pump', vehicle })])!;
      const sheet = planSheet(state);
      const at = layoutSheet(sheet, { head: 'x', legs: ['Down', 'Up'] }, seed % 2 === 0 ? 'metric' : 'us');
      const said = at.pages.flatMap((page) => page.lines.map((line) => line.text)).join(' ');
      const none = ['No way with these figures: measure what holds.'];
      const steps = [sheet.down, sheet.up].flatMap((leg) => (leg.length > 0 ? leg.flatMap((s) => s.steps) : none));
      expect(said).toBe(steps.join(' '));
      for (const [n, page] of at.pages.entries()) {
        const rows = [...page.titles, ...page.heights, ...page.lines];
        for (const x of new Set(rows.map((row) => row.x))) {
          const ys = rows.filter((row) => row.x === x).map((row) => row.y);
          ys.sort((a, b) => a - b);
          // A line of type of 11 pt is 14.7 px high.
          ys.slice(1).forEach((y, i) => expect(y - ys[i]!).toBeGreaterThanOrEqual(14.7));
        }
        for (const { y } of rows) expect(y).toBeLessThan((n === 0 && at.asks.length > 0 ? at.asksY : at.ruleY) - 4);
        // What is written in the first column ends before the second begins: letters of 11 pt are seldom wider than 7.3 px.
        for (const { x, text } of page.lines)
          expect(text.length * 7.3).toBeLessThan(x < 400 ? 400 - x - 32 : 762 - x - 32);
      }
      for (const { y } of at.asks) expect(y).toBeLessThan(at.ruleY);
      for (const { y } of at.caution) expect(y).toBeLessThan(PAGE.height - 10);
    }
  });

  test('breaks at spaces, loses no word', () => {
    expect(wrap('press both tabs right in', 10)).toEqual(['press both', 'tabs right', 'in']);
    expect(wrap('incomprehensibilities of it', 8)).toEqual(['incomprehensibilities', 'of it']);
  });
});
