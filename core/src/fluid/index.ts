export { BEFORE_DIPPING, densityAt, fillingFlow, fuels, safeFill, WATER_HELD, type FuelKind } from './fuels.ts';
export { labelOf, type CanLabel } from './hazard.ts';
export { kinematicViscosity } from './viscosity.ts';
export { spillInWords, vapourPressure } from './vapour.ts';
