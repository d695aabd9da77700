export { conditionSlice, finding, TEST_STOP, type ConditionSlice, type Finding } from './finding.ts';
