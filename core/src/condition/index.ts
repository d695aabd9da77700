export { finding, spark } from './kinds.ts';
export {
  conditionPlaces,
  placesOf,
  placeStands,
  remediesFor,
  standingFindings,
  type CanBeFound,
  type ConditionPlace,
  type PlaceLook,
} from './places.ts';
export { remedies, remedyIds, type Remedy, type RemedyId } from './remedies.ts';
export { conditionSlice, sparkOf, TEST_STOP, wetEnds, type ConditionSlice, type Finding, type Spark } from './slice.ts';
export { HAZARDOUS, HOT_WORK_METRES, judgeSpark, sparkActs, type SparkAct } from './spark.ts';
export { usualWaits, type UsualWait } from './waits.ts';
