export { battery, keyOff, keyOn, vehicleMoved } from './kinds.ts';
export { powerSlice, type KeyTurn, type PowerSlice } from './slice.ts';
