import { inWords } from '../quantity/index.ts';
import { judgeSample, sampleLooks } from './index.ts';

describe('a sample in glass (common practice, no source)', () => {
  test.each([
    ['clear', 'return', 'good'],
    ['haze', 'filter', 'doubtful'],
    ['water', 'dispose', 'bad'],
    ['sediment', 'filter', 'bad'],
    ['crystals', 'dispose', 'bad'],
    ['varnish', 'dispose', 'bad'],
    ['slime', 'dispose', 'bad'],
  ] as const)('%s: %s', (look, decide, outcome) => {
    expect(judgeSample(look, 'petrol')).toMatchObject({ decide, verdict: { outcome } });
  });
  test('every look has its words, and means something for tank, filter and pump', () => {
    for (const { id } of sampleLooks) {
      const { means, verdict } = judgeSample(id, 'diesel');
      for (const text of Object.values(means)) expect(text.length).toBeGreaterThan(4);
      expect(verdict.next[0]!.length).toBeGreaterThan(10);
    }
    expect(sampleLooks).toHaveLength(7);
  });
  test('what it is stays unproven, and what petrol holds of water is said where there is water', () => {
    for (const { id } of sampleLooks) {
      const said = judgeSample(id, 'petrol')
        .verdict.reasons.map((r) => inWords(r.text))
        .join('; ');
      expect(/laboratory/.test(said)).toBe(id !== 'clear');
    }
    const water = (fuel: 'petrol' | 'diesel') => JSON.stringify(judgeSample('water', fuel).verdict);
    expect(water('petrol')).toMatch(/0.5 % of water/);
    expect(water('diesel')).not.toMatch(/0.5 %/);
  });
  test('cold diesel is warmed before anything is thrown away', () => {
    expect(judgeSample('haze', 'diesel').verdict.next[0]).toMatch(/warm it/);
  });
});
