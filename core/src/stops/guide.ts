import { present } from '../errors/index.ts';
import { bindings, safeUnder, type Margins, type TankState } from '../hang/index.ts';
import { deepest, dropAt, GRID, inReach, type Pose } from '../pose/index.ts';
import { seek, usedWay, type Route, type Sought } from '../route/index.ts';
import { lineOf, obstructionOf, splitKey, supportOf, waysOff, type Way } from '../vehicle/index.ts';
import { actionFor } from './actions.ts';
import { LOOKED, routeModel, type View } from './model.ts';

import type { Action } from './types.ts';

/** The first part of the way with the least minutes: what comes off where the tank hangs, and where it goes next. */
interface Guide {
  actions: Action[];
  next: Pose | null;
}

/** A state is never changed, so what was found for it holds. */
const found = new WeakMap<TankState, Map<string, Sought>>();

/**
 * The way down with the least minutes in a view of the ranges, null where there is none or none was found in time.
 *
 * @example routeDown(state, 'typical')?.minutes
 */
export const routeDown = (state: TankState, view: View, margins: Margins = state.shop): Route | null =>
  seekDown(state, view, margins).route;

/**
 * The same, with whether the search knew its answer: where it gave up, nobody says that there is no way.
 *
 * @example seekDown(state, 'look').gaveUp // false
 */
export function seekDown(state: TankState, view: View, margins: Margins = state.shop): Sought {
  return seekTo(state, { goal: state.goal, view, margins });
}

function seekTo(
  state: TankState,
  { goal, view, margins }: { goal: TankState['goal']; view: View; margins: Margins },
): Sought {
  const key = `${goal}/${view}/${margins.overshoot}`;
  let known = found.get(state);
  if (!known) found.set(state, (known = new Map()));
  let sought = known.get(key);
  if (!sought) known.set(key, (sought = seek(routeModel({ ...state, goal }, view, margins))));
  return sought;
}

/**
 * Part-way down, the top at working height: the least minutes to a level pose, with nothing parted that need not be.
 *
 * @param drop on the 5 mm grid
 * @example routePartWay(state, { drop: 250, view: 'typical' })?.minutes
 */
export function routePartWay(
  state: TankState,
  { drop, view, margins = state.shop }: { drop: number; view: View; margins?: Margins },
): Route | null {
  return drop > state.vehicle.clear ? null : seekTo(state, { goal: drop, view, margins }).route;
}

/**
 * What the search says to do now: a way that is certain if there is one; else one that is certain once a line was looked
 * at. Null where neither is known, or where something planned was left undone here.
 */
export function guide(state: TankState, margins: Margins): Guide | null {
  const here = deepest(state.pose);
  if (Object.values(state.notDone).some((n) => n.drop === here)) return null;
  const route = routeDown(state, 'worst', margins) ?? routeDown(state, 'look', margins);
  if (!route) return null;
  const [now, next] = route.stops;
  const actions = actionsOf(
    state,
    now!.uses.filter((use) => !use.way.endsWith(LOOKED)),
  );
  return {
    actions,
    next: next ? lowestThatServes(state, route, margins) : null,
  };
}

/**
 * The search names the highest pose that will do, where a hand only just gets there. Lower is easier and shows more: as
 * low as nothing is lost for this stop and the stop after it is not passed.
 */
function lowestThatServes(state: TankState, { stops }: Route, margins: Margins): Pose {
  const model = routeModel(state, 'look', margins);
  const [, next, after] = stops;
  const { length } = model;
  const used = next!.uses.map((use) => usedWay(model, use));
  const binding = bindings(state);
  const fits = (pose: Pose) =>
    pose.f <= Math.max(after?.pose.f ?? 0, next!.pose.f) &&
    pose.r <= Math.max(after?.pose.r ?? 0, next!.pose.r) &&
    used.every(({ thing, way }) => inReach(pose, { x: thing.x, from: way.from, to: way.to, length })) &&
    binding.every((b) => dropAt(pose, b.x, length) <= safeUnder(b, margins));
  let { pose } = next!;
  for (let lower = pose; fits(lower); lower = { f: lower.f + GRID, r: lower.r + GRID }) pose = lower;
  return pose;
}

/**
 * What a route does at a stop, as things to take off; looks are left out.
 *
 * @example actionsOf(state, [{ thing: 'line:feed', way: 'feed-top' }])[0]?.name
 */
export const actionsOf = (state: TankState, uses: Route['stops'][number]['uses']): Action[] =>
  uses
    .filter((use) => !use.thing.startsWith('look:'))
    .map((use) => {
      const id = use.way.replace(LOOKED, '');
      return actionFor(
        state,
        use.thing,
        present(
          waysOfKey(state, use.thing).find((way) => way.id === id),
          'way',
          id,
        ),
      );
    });

/** Ways by which a thing of the ledger comes off. */
function waysOfKey({ vehicle }: TankState, key: string): readonly Way[] {
  const { kind, id } = splitKey(key);
  if (kind === 'line') return lineOf(vehicle, id)?.part ?? [];
  if (kind === 'clip') return vehicle.connections.flatMap((c) => c.clips).find((k) => k.id === id)?.ways ?? [];
  const support = kind === 'support' ? supportOf(vehicle, id) : undefined;
  return support ? waysOff(support) : (obstructionOf(vehicle, id)?.clear ?? []);
}
