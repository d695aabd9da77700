export { conditionSlice, finding, TEST_STOP, type ConditionSlice } from './finding.ts';
