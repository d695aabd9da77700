export {
  BEFORE_DIPPING,
  blend,
  densityAt,
  fillingFlow,
  fuels,
  safeFill,
  volumeCorrection,
  WATER_HELD,
  type Fuel,
  type FuelKind,
} from './fuels.ts';
export { viscosityAt, kinematicViscosity } from './viscosity.ts';
export { airingMinutes, flammableFrom, FLAMMABLE_LOWER, spillInWords, vapourPressure } from './vapour.ts';
