export { drained, judgeHandling, kilogramsOf, litresToTakeOut, tankMass, WORKED_ON, type Handling } from './mass.ts';
export { judgeLift, teamLift, type LiftPosture } from './lift.ts';
export { judgeJack, postBalance, raiseHeight, tankCentre, type ExitWay } from './support.ts';
