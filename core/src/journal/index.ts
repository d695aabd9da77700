export { minutesLeft, minutesSince } from './clock.ts';
export { note, parked, photo, wait } from './kinds.ts';
export { journalSlice } from './slice.ts';
