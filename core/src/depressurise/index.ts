export { pressure, pressureSlice, type Pressure, type PressureBody, type PressureSlice } from './kinds.ts';
export { judgePressure, OPEN_BELOW } from './pressure.ts';
export { judgeSchool, SCHOOL, schoolsFor, type School, type SchoolId } from './schools.ts';
