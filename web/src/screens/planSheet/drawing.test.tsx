import { archetypes, foldJob, logWriter, planSheet } from '@iron-cradle/core';
import { render } from '@testing-library/react';
import { PlanSheetDrawing } from './PlanSheetDrawing.tsx';

const state = foldJob(null, [logWriter('job')('opened', { name: 'Van', complaint: 'pump', vehicle: archetypes[0]! })])!;

describe('the plan sheet', () => {
  test('heights, and what must let, in the units of whoever prints it', () => {
    const sheet = planSheet(state);
    const { f, r } = sheet.down[1]!.pose;
    expect(f).toBe(r);
    const text = (units: 'metric' | 'us') =>
      render(<PlanSheetDrawing sheet={sheet} name="Van" made="today" units={units} />).container.textContent;
    expect(text('metric')).toContain(`${f} mm`);
    // Inches as a tape shows them, by another road: sixteenths of 25.4 mm.
    const inches = Math.round((sheet.asks[0]!.mm / 25.4) * 16) / 16;
    expect(text('us')).toContain(`${sheet.asks[0]!.name} ${Math.floor(inches)}`);
    // Spanners keep the size that stands on them; heights do not.
    const { container } = render(<PlanSheetDrawing sheet={sheet} name="Van" made="today" units="us" />);
    const heights = [...container.querySelectorAll('[data-height]')].map((e) => e.textContent);
    expect(heights).toHaveLength(sheet.down.length + sheet.up.length);
    for (const height of heights) expect(height).toMatch(/ in\b(?!.* mm)/);
  });

  test('nothing on it is set smaller than 11 points', () => {
    const { container } = render(<PlanSheetDrawing sheet={planSheet(state)} name="Van" made="today" units="metric" />);
    const sizes = [...container.querySelectorAll('[font-size]')].map((e) => Number(e.getAttribute('font-size')));
    expect(sizes.length).toBeGreaterThan(3);
    // 96 px and 72 points to the inch.
    expect(Math.min(...sizes)).toBeGreaterThanOrEqual((11 / 72) * 96 - 0.01);
    for (const svg of container.querySelectorAll('svg')) expect(svg.getAttribute('font-size')).not.toBeNull();
  });
});
