export { dayChecks, dayItems, type DayCheck, type DayItem } from './items.ts';
export { dayEnded, dayEndSlice } from './kinds.ts';
