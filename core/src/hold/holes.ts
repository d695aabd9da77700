import { fromMemory, type Basis } from '../basis/index.ts';
import { roundTo } from '../estimate/index.ts';

/** Holes that a tank is held against: the small one is a fiftieth of an inch. */
export const holes = ['0.020', '0.040'] as const;
/** One of them, inches. */
export type HoleName = (typeof holes)[number];

/** Their diameters, m. */
export const diameters: Record<HoleName, number> = { '0.020': 0.02 * 0.0254, '0.040': 0.04 * 0.0254 };
/** One of them as it is said everywhere. @example holeInWords('0.020') // '0.51 mm (0.020 in)' */
export const holeInWords = (name: HoleName): string => `${roundTo(diameters[name] * 1000, 0.01)} mm (${name} in)`;

/** Where they come from. */
export const HOLES_FROM: Basis = fromMemory('13 CCR 1968.2, leaks of 0.020 and 0.040 inch');

/** Never more on a tank, pressure or vacuum, without the file's word: 14 inches of water, Pa; common practice, no source. */
export const MOST = 14 * 249.08891;
