import { leftInWords, minutesLeft, minutesSince } from './index.ts';

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
  expect(minutesLeft({ started: noon, minutes: 20, until: null }, at(seconds))).toBe(left),
);

test('a wait nobody knows the length of has nothing left to say', () =>
  expect(minutesLeft({ started: noon, minutes: null, until: null }, at(5))).toBeNull());

test('a part on order runs until its day, whatever minutes were said', () => {
  const part = { started: noon, minutes: 5, until: '2026-11-28T12:00:00.000Z' };
  expect(minutesLeft(part, at(0))).toBe(2 * 24 * 60);
  expect(minutesLeft(part, Date.parse('2026-11-29T00:00:00Z'))).toBe(0);
});

test.each([
  [{ minutes: null, until: null }, 'running'],
  [{ minutes: 8, until: null }, '8 min left'],
  [{ minutes: 119, until: null }, '119 min left'],
  [{ minutes: 240, until: null }, '4 h left'],
  [{ minutes: null, until: '2026-11-30T12:00:00.000Z' }, '4 days left'],
  [{ minutes: null, until: '2026-11-20T12:00:00.000Z' }, 'done'],
])('%j is %s', (wait, words) => expect(leftInWords({ started: noon, ...wait }, at(0))).toBe(words));
