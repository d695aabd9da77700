export { judgeTorque } from './judge.ts';
export { torque, torqueSlice, type Torque, type TorqueBody, type TorqueSlice } from './kinds.ts';
