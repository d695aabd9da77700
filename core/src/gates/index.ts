export { fuelBack, type FuelBack } from './fuelBack.ts';
export { gateTitles, type GateItem } from './items.ts';
export { judgeGate, type JudgedItem } from './judge.ts';
export { gateBeforeBack } from './leavesBench.ts';
export { jointsDueHere, judgeProofFuel } from './judges.ts';
export { exception, gate, gateItem } from './kinds.ts';
export { gatesSlice, isPassed, type GateNumber } from './slice.ts';
