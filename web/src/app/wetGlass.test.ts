import { AFTER_CHANGE, BOUNCE, WetGlass } from './wetGlass.ts';

describe('touches on wet glass', () => {
  test('none counts in the first 400 ms after the screen changed, from then on they do', () => {
    const glass = new WetGlass();
    expect(glass.counts(0)).toBe(true);
    glass.changed(1000);
    expect(glass.counts(1000 + AFTER_CHANGE - 1)).toBe(false);
    expect(glass.counts(1000 + AFTER_CHANGE + BOUNCE)).toBe(true);
  });

  test('a second touch within 80 ms is a bounce, however often', () => {
    const glass = new WetGlass();
    expect(glass.counts(0)).toBe(true);
    expect(glass.counts(50)).toBe(false);
    expect(glass.counts(100)).toBe(false);
    expect(glass.counts(100 + BOUNCE)).toBe(true);
  });
});
