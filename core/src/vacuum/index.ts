export { searchPlaces, testerStates, wayStates, type SearchPlace, type TesterState, type WayState } from './bodies.ts';
export { judgeLine, judgeValve, liftVacuum } from './judge.ts';
export { lineHeld, searched, vacuumSlice, valveTried, type VacuumSlice } from './kinds.ts';
export { fallOf, wayFrom, type VacuumReading } from './series.ts';
