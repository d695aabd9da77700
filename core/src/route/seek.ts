import { solve, Stopped } from './solve.ts';
import type { Route, RouteModel } from './types.ts';

/** States looked at before a search gives up, so that no screen waits: some tenths of a second. */
const PATIENCE = 2_500;

/** What a search of limited patience found. */
export interface Sought {
  /** The way with the least minutes; null where there is none, or where none was found in time. */
  route: Route | null;
  /** It stopped before it knew: that there is no way is then not said. */
  gaveUp: boolean;
}

/**
 * Looks for a way, but not for ever: the rules of levels stand behind it, and they need no search.
 *
 * @param most states looked at before it gives up
 * @throws InputError for a model that makes no sense
 * @example seek(routeModel(state, 'worst', state.shop)).gaveUp // false
 */
export function seek(model: RouteModel, most = PATIENCE): Sought {
  try {
    return { route: solve(model, { every: 64, onLooked: (looked) => looked < most }).route, gaveUp: false };
  } catch (error) {
    if (error instanceof Stopped) return { route: null, gaveUp: true };
    throw error;
  }
}
