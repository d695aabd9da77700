export { note, parked, photo, wait } from './kinds.ts';
export { journalSlice, type Flag, type JournalSlice, type Note, type Photo, type Wait } from './slice.ts';
