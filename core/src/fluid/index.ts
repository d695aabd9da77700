export { fuels, safeFill, volumeCorrection, type Fuel } from './fuels.ts';
export { viscosityAt, kinematicViscosity } from './viscosity.ts';
export { airingMinutes, flammableFrom, FLAMMABLE_LOWER, spillInWords, vapourPressure } from './vapour.ts';
