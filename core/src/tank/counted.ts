import type { Moment } from '../kernel/index.ts';
import type { Container, FuelMove, FuelSlice, Pour } from './types.ts';

/** What was counted out of the tank and into it. */
export type Counted = Pick<FuelSlice, 'pours' | 'moves' | 'fills'>;
/** Litres of all together. @example total(state.fills) // 9 */
export const total = (list: readonly { litres: number }[]): number => list.reduce((sum, { litres }) => sum + litres, 0);
/** Litres that went one way. @example moved(state, 'spilled') // 0.5 */
export const moved = (state: Pick<FuelSlice, 'moves'>, what: FuelMove['what']): number =>
  total(state.moves.filter((m) => m.what === what));

/** Litres that left the tank: into cans and spilt. @example litresOut(state) // 36.5 */
export const litresOut = (state: Pick<FuelSlice, 'pours' | 'moves'>): number =>
  total(state.pours) + moved(state, 'spilled');

/** Litres that came into it: filled, put back, or in by a feed or return line. @example litresIn(state) // 9 */
export const litresIn = (state: Pick<FuelSlice, 'moves' | 'fills'>): number =>
  total(state.fills) + moved(state, 'returned') + moved(state, 'fedIn');

/** Litres that came out and still stand in cans: not put back, not disposed of. @example litresInCans(state) // 2 */
export const litresInCans = (state: Counted): number =>
  total(state.pours) - moved(state, 'returned') - moved(state, 'disposed') - total(state.fills.filter((f) => f.own));

/** What the maker of an entry knew of out and in. @example litresOut(knownTo(own, moment)) */
export const knownTo = (own: Counted, moment: Pick<Moment, 'knew'>): Counted => ({
  pours: own.pours.filter((p) => moment.knew(p.id)),
  moves: own.moves.filter((m) => moment.knew(m.id)),
  fills: own.fills.filter((f) => moment.knew(f.id)),
});

/** The cans as they stand, by what was poured. @example containersOf(state.pours)[0]?.litres */
export function containersOf(pours: readonly Pour[]): Container[] {
  const cans = new Map<number, Container>();
  for (const { number, capacity, litres, clean, at } of pours) {
    const can = cans.get(number) ?? { number, capacity, litres: 0, clean: true };
    cans.set(number, { ...can, litres: can.litres + litres, clean: can.clean && clean, at });
  }
  return [...cans.values()];
}
