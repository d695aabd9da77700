export { note, parked, photo, wait } from './kinds.ts';
export { journalSlice } from './slice.ts';
