export { drained, judgeHandling, kilogramsOf, litresToTakeOut, tankMass, WORKED_ON, type Handling } from './mass.ts';
export { judgeLift, teamLift, type LiftPosture } from './lift.ts';
export { postBalance } from './balance.ts';
export { judgeJack, raiseHeight, tankCentre, type ExitWay } from './support.ts';
export { judgeTwoJacks } from './twoJacks.ts';
export { onJack } from './onJack.ts';
