import { expect, test } from '@jest/globals';
import { commonPractice, seen } from '../basis/index.ts';
import { gravestOf, verdictFrom, type Found } from './index.ts';

const found: Found[] = [
  { outcome: 'good', text: 'flat' },
  { outcome: 'doubtful', text: 'near', next: 'turn it', figure: '2 mm', limit: '3 mm' },
  { outcome: 'bad', text: 'split', basis: seen, next: 'another one' },
  { outcome: 'bad', text: 'strikes', next: 'turn it' },
];

test('the gravest decides and stands first, each with its own basis or the one of all; what to do is said once', () => {
  expect(verdictFrom(found, { basis: commonPractice, next: ['cut it long first'] })).toEqual({
    outcome: 'bad',
    reasons: [
      { text: 'split', basis: seen },
      { text: 'strikes', basis: commonPractice },
      { text: 'near', figure: '2 mm', limit: '3 mm', basis: commonPractice },
      { text: 'flat', basis: commonPractice },
    ],
    next: ['another one', 'turn it', 'cut it long first'],
  });
});

test('unknown outweighs a look, and of equals the first stands', () => {
  const judged = (['good', 'doubtful', 'unknown', 'unknown'] as const).map((outcome, i) => ({
    i,
    verdict: { outcome, reasons: [], next: [] },
  }));
  expect(gravestOf(judged)?.i).toBe(2);
  expect(gravestOf([])).toBeNull();
});
