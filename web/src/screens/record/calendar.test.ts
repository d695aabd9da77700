import type { JobState } from '@iron-cradle/core';
import { convertIcsCalendar } from 'ts-ics';
import { calendarOf } from './calendar.ts';

/** Signed on the last of the year, two joints opened, a worm clamp on; read back by another library. */
const state = {
  jobId: 'job-1',
  name: 'Van; 4, grey',
  signed: { id: 's', by: 'ines', at: '2026-12-31T22:10:00.000Z' },
  followUpsDone: [{ id: 'f', text: 'done', of: 'worms', by: 'ines', at: '2027-01-01T08:00:00.000Z' }],
  deviations: [
    { debt: 'a', what: 'stone shield off', reason: 'bolts', who: 'owner', due: 'by 2027-01-09', by: 'ines', at: '' },
    { debt: 'b', what: 'torque', reason: 'none', who: 'owner', due: 'next service', by: 'ines', at: '' },
  ],
  clamps: { 'line:feed tank': [{ worm: true }] },
  vehicle: { connections: [{ id: 'feed', kind: 'feed' }] },
  openings: [{ id: 'line:feed@1', key: 'line:feed', kind: 'line', closedIn: 'm' }],
  rings: [],
} as unknown as JobState;

test('whole days, what is done or has no day left out; names with commas survive', () => {
  const { events = [] } = convertIcsCalendar(undefined, calendarOf(state, 7));
  expect(
    events.map(({ summary, start, end }) => [
      summary,
      start.type,
      start.date.toISOString().slice(0, 10),
      end?.date.toISOString().slice(0, 10),
    ]),
  ).toEqual([
    ['Van; 4, grey: every joint once more, cold: 1 of them', 'DATE', '2027-01-01', '2027-01-02'],
    ['Van; 4, grey: stone shield off: by 2027-01-09', 'DATE', '2027-01-09', '2027-01-10'],
  ]);
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(2);
});
test('saved again it is the same event', () => {
  const ids = () => convertIcsCalendar(undefined, calendarOf(state, 7)).events!.map(({ uid }) => uid);
  expect(ids()).toEqual(ids());
});
