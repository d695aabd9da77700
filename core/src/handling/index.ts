export {
  drained,
  judgeHandling,
  litresToTakeOut,
  tankMass,
  type Handling,
  type Hands,
  type ShopKilograms,
} from './mass.ts';
export { judgeLift, teamLift, weightLimit, weightLimitUS, type LiftMetric, type LiftPosture } from './lift.ts';
export {
  judgeJack,
  postBalance,
  raiseHeight,
  tankCentre,
  type Axles,
  type Centre,
  type ExitWay,
  type Jack,
  type PostBalance,
} from './support.ts';
