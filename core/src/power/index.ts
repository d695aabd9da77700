export { battery, keyOff, keyOn, vehicleMoved } from './kinds.ts';
export { powerSlice } from './slice.ts';
