import { ATMOSPHERE, celsius, GAS, say, type Sentence } from '../quantity/index.ts';
import { InputError } from '../errors/index.ts';
import { fuels, type FuelKind } from './fuels.ts';

/** Pa in a psi; NIST SP 811, appendix B, from memory. */
const PSI = 6894.757293168;
/** Litres of liquid that become a mole fraction of vapour: M ≈ 65 g/mol for petrol vapour, from memory. kg/mol */
const VAPOUR_MOLAR_MASS = 0.065;
/** Lower flammable limit of petrol vapour, share of the air by volume. NFPA 325, from memory. */
const FLAMMABLE_LOWER = 0.014;

/**
 * True vapour pressure of petrol. AP-42 chapter 7.1, distillation slope 3, written from memory of the document.
 *
 * @param reid Reid vapour pressure, Pa (35 to 105 kPa)
 * @param celsius of the liquid
 * @returns Pa absolute
 * @throws InputError outside the range of the correlation
 * @example vapourPressure(60_000, 20) / 1000 // 35.8 kPa
 */
export function vapourPressure(reid: number, celsius: number): number {
  if (!(reid >= 35_000 && reid <= 105_000))
    throw new InputError('vapour pressure', String(reid), '35 000 to 105 000 Pa Reid');
  if (!(celsius >= -30 && celsius <= 60)) throw new InputError('temperature', String(celsius), '−30 to 60 °C');
  const slope = 3;
  const ln = Math.log(reid / PSI);
  const a = 15.64 - 1.854 * Math.sqrt(slope) - (0.8742 - 0.328 * Math.sqrt(slope)) * ln;
  const b = 8742 - 1042 * Math.sqrt(slope) - (1049 - 179.4 * Math.sqrt(slope)) * ln;
  const rankine = (celsius + 273.15) * 1.8;
  return Math.exp(a - b / rankine) * PSI;
}

/**
 * How much air a spill makes flammable once it is evaporated.
 *
 * @param litres of petrol
 * @param celsius of the air
 * @returns m³ of vapour alone and m³ of mixture at the lower limit
 * @example flammableFrom(1, 20).mixture // 19.7 m³
 */
export function flammableFrom(litres: number, celsius = 20): { vapour: number; mixture: number } {
  if (!(litres >= 0 && litres < 1000)) throw new InputError('litres', String(litres), '0 to 1000 L');
  const moles = (litres * fuels.petrol.density.typ) / VAPOUR_MOLAR_MASS;
  const vapour = (moles * GAS * (celsius + 273.15)) / ATMOSPHERE;
  return { vapour, mixture: vapour / FLAMMABLE_LOWER };
}

/**
 * How long a bay must air until the vapour in it has thinned to a share of what it was.
 *
 * @param share what may be left, 0 to 1 (a tenth by default)
 * @param changes air changes an hour
 * @param mixing 1 for perfect mixing to 10 for poor; 3 by common practice
 * @returns minutes
 * @example airingMinutes(6) // 69
 */
export function airingMinutes(changes: number, share = 0.1, mixing = 3): number {
  if (!(changes > 0)) throw new InputError('air changes', String(changes), 'more than none an hour');
  if (!(share > 0 && share < 1)) throw new InputError('share', String(share), 'between 0 and 1');
  if (!(mixing >= 1 && mixing <= 10)) throw new InputError('mixing', String(mixing), '1 to 10');
  return ((mixing * Math.log(1 / share)) / changes) * 60;
}

/**
 * What a spill of one litre means here, in one sentence; the caution at the air.
 *
 * @param changes air changes an hour: about six with the doors of a bay open, common practice, no source
 * @example spillInWords('petrol') // 'One litre spilt makes about 20 m³ …'
 */
export function spillInWords(fuel: FuelKind, changes = 6): Sentence {
  const { name, flash, ethanol } = fuels[fuel];
  if (flash.below > 40)
    return say`${name[0]!.toUpperCase()}${name.slice(1)} gives off little vapour in a cool shop (flash point above ${celsius(flash.below)}); spray and hot metal make it burn all the same.`;
  if (ethanol > 0.5)
    return `${name} burns with a flame that is hard to see in daylight; its vapour is heavier than air like that of petrol, and it carries a current: keep it off plugs and bare wire.`;
  const { mixture } = flammableFrom(1);
  return `One litre spilt makes about ${Math.round(mixture)} m³ of air flammable; with the doors open the bay needs about ${Math.round(airingMinutes(changes) / 5) * 5} minutes to air.`;
}
