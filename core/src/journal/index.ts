export { endOf, leftInWords, minutesLeft, minutesSince } from './clock.ts';
export { note, parked, photo, wait } from './kinds.ts';
export { journalSlice, type Wait } from './slice.ts';
