import { isLight, pumpOf, type PumpKind, type VehicleFile } from '../vehicle/index.ts';

const PETROL: Partial<Record<PumpKind, string>> = {
  electricHigh: 'Injected engines hold it for hours. Hose into the can, rag over the joint, eyes covered.',
  electricLow: 'An electric pump leaves its line under pressure. Hose into the can, rag over the joint, eyes covered.',
  unknown:
    'Nobody has said what pushes the fuel: it counts as under pressure. Hose into the can, rag over the joint, eyes covered.',
};
const PETROL_UNPRESSED = 'No electric pump presses here, vapour does: the cap off slowly, face away, eyes covered.';

const DIESEL: Partial<Record<PumpKind, string>> = {
  dieselSupply: 'Its pump leaves the supply under pressure. Let it stand;',
  dieselLift: 'Its pump leaves the supply under pressure. Let it stand;',
  unknown: 'Nobody has said what pushes the fuel: it counts as under pressure. Let it stand;',
};
const DIESEL_UNPRESSED = 'No electric pump presses here. The cap off slowly,';

/**
 * What can hurt before the first joint is opened, by what pushes the fuel. Common practice, no source.
 *
 * @example pressureCaution(rail) // 'Injected engines hold it for hours. …'
 */
export function pressureCaution(vehicle: VehicleFile): string {
  const pump = pumpOf(vehicle);
  if (isLight(vehicle)) return PETROL[pump] ?? PETROL_UNPRESSED;
  return `${DIESEL[pump] ?? DIESEL_UNPRESSED} eyes covered; nothing is opened at the engine.`;
}
