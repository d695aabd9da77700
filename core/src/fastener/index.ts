export { judgeTorque } from './judge.ts';
export { torque, torqueSlice, type TorqueSlice } from './kinds.ts';
