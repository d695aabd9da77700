import { fromMemory, type Basis } from '../basis/index.ts';
import { celsius, say, type Sentence } from '../quantity/index.ts';
import { fuels, type FuelKind } from './fuels.ts';

/** What stands on a can. */
export interface CanLabel {
  /** What is in it. */
  product: string;
  /** Where its vapour can be lit. */
  flash: Sentence;
  /** What it does to people, the gravest first. */
  hazards: string[];
  /** What to do with it. */
  care: string[];
  /** Where the classes come from. */
  basis: Basis;
}

const basis = fromMemory('UN GHS, flammable liquids and aspiration');

/** Upper ends of the classes of flammable liquids by flash point, °C; the lowest needs a boiling point up to 35 °C too. */
const HIGHLY = 23;
const FLAMMABLE = 60;

/**
 * What a label says: product, flash point, hazards, care. A suspect can may hold anything that was poured in: it counts as
 * the most dangerous of what it may be, petrol.
 *
 * @param oil is oil mixed into it, as for a two-stroke engine?
 * @example labelOf({ fuel: 'diesel', clean: true }).hazards[0] // 'Flammable liquid and vapour'
 */
export function labelOf({ fuel, oil = false, clean }: { fuel: FuelKind; oil?: boolean; clean: boolean }): CanLabel {
  const { name, flash, ethanol } = fuels[fuel];
  const worst = clean ? fuel : 'petrol';
  const below = Math.min(flash.below, fuels[worst].flash.below);
  const isPetrol = worst === 'petrol' || fuel === 'e85';
  return {
    product: `${name}${oil ? ' with oil' : ''}, ${clean ? 'clean' : 'suspect'}`,
    flash:
      !clean && fuel !== 'petrol'
        ? say`taken as ${celsius(below)}: what is in it is not proven`
        : say`${flash.below > 0 ? 'above' : 'below'} ${celsius(flash.below)}`,
    hazards: [
      isPetrol
        ? 'Extremely flammable liquid and vapour'
        : below < HIGHLY
          ? 'Highly flammable liquid and vapour'
          : below <= FLAMMABLE
            ? 'Flammable liquid and vapour'
            : 'Burns once it is hot, or on a rag',
      ...(ethanol > 0.5 ? ['Its flame is hardly seen by day'] : []),
      ...(fuel === 'ethanol' && clean ? [] : ['May kill if swallowed and it enters the airways: do not make sick']),
    ],
    care: [
      'Away from heat and sparks; closed; earthed while it is poured',
      ...(ethanol > 0.5 ? ['Only cans and hoses made for ethanol; water draws it out'] : []),
      ...(oil ? ['Only for an engine that takes oil in its petrol'] : []),
      clean ? 'Nothing else in this can' : 'Not back into any tank. Nothing else in this can',
    ],
    basis,
  };
}
