export { battery, keyOff, keyOn, vehicleMoved } from './kinds.ts';
export { powerSlice, type PowerSlice } from './slice.ts';
