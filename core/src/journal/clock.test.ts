import { minutesLeft, minutesSince } from './index.ts';

const noon = '2026-11-26T12:00:00.000Z';
const at = (seconds: number) => Date.parse(noon) + seconds * 1000;

test.each([
  [0, 0],
  [59, 0],
  [60, 1],
  [605, 10],
  // Another device’s clock is ahead, or this screen’s own a moment behind.
  [-0.2, 0],
  [-400, 0],
])('%d s after it began it has run %d min, never less than none', (seconds, minutes) =>
  expect(minutesSince(noon, at(seconds))).toBe(minutes),
);

test.each([
  [0, 20],
  [1, 20],
  [61, 19],
  [1199, 1],
  [1200, 0],
  [9999, 0],
  [-400, 20],
])('%d s into a wait of twenty minutes %d are left', (seconds, left) =>
  expect(minutesLeft({ started: noon, minutes: 20 }, at(seconds))).toBe(left),
);

test('a wait nobody knows the length of has nothing left to say', () =>
  expect(minutesLeft({ started: noon, minutes: null }, at(5))).toBeNull());
