export type { GateFactsToJudge } from './facts.ts';
export { gateItems, gateTitles, type GateItem } from './items.ts';
export { judgeGate, type JudgedItem } from './judge.ts';
export { jointsDueHere } from './judges.ts';
export { exception, gate, gateItem } from './kinds.ts';
export {
  gateNumbers,
  gatesSlice,
  isPassed,
  type Crossing,
  type Gate,
  type GateAnswer,
  type GateNumber,
  type GatePassed,
  type GatesSlice,
} from './slice.ts';
