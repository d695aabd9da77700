import type { CarriedBy, Mounting, Travel, VehicleFile } from './types.ts';

/** How each mounting leaves and what carries it, where its file does not say. Common practice, no source. */
const usual: Record<Mounting, CarriedBy & { travel: Travel }> = {
  rail: { travel: 'down', by: ['two jacks', 'board on a jack'], people: 1, whenSupportsLetGo: 2 },
  seat: { travel: 'down', by: ['board on a jack', 'two jacks'], people: 1, whenSupportsLetGo: 2 },
  crosswise: { travel: 'down', by: ['board on a jack'], people: 1, whenSupportsLetGo: 2 },
  upright: { travel: 'out', by: ['hands', 'board'], people: 2, whenSupportsLetGo: 2 },
  wing: { travel: 'out', by: ['board on a jack', 'hands'], people: 1, whenSupportsLetGo: 2 },
  floor: { travel: 'up', by: ['hands', 'hoist'], people: 2, whenSupportsLetGo: 1 },
  pads: { travel: 'back', by: ['hands'], people: 1, whenSupportsLetGo: 1 },
};

type Carried = Pick<VehicleFile, 'mounting' | 'travel' | 'carriedBy'>;

/** Which way the tank leaves its place. @example travelOf(pads) // 'back' */
export const travelOf = ({ mounting, travel }: Carried): Travel => travel ?? usual[mounting].travel;

/** What carries it and how many people that takes. @example carriedBy(pads).by // ['hands'] */
export const carriedBy = (file: Carried): CarriedBy => file.carriedBy ?? usual[file.mounting];

/**
 * Does a jack carry it? Else hands, a board or a hoist do: no jack, no lift and no stop with the key on under way.
 *
 * @example byJack(upright) // false
 */
export const byJack = (file: Carried): boolean => carriedBy(file).by.some((c) => c.includes('jack'));
