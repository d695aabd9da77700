export { note, parked, photo, wait } from './kinds.ts';
export { journalSlice, type JournalSlice } from './slice.ts';
