export { judgeTorque } from './judge.ts';
export { torque, torqueSlice } from './kinds.ts';
