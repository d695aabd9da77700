export { pressureCaution } from './caution.ts';
export { pressure, pressureSlice, type PressureSlice } from './kinds.ts';
export { judgePressure, OPEN_BELOW } from './pressure.ts';
export { judgeSchool, PUMP_RUNS, SCHOOL, schoolsFor, type School } from './schools.ts';
