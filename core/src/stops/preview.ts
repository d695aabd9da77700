import { total } from '../estimate/index.ts';
import { takenOff, type Margins, type TankState } from '../hang/index.ts';
import { deepest, isHome } from '../pose/index.ts';
import { nextStop } from './down.ts';
import type { Plan, Stop } from './types.ts';

/** More stops than any real descent has: a guard, not a rule. */
const MOST_STOPS = 80;

/**
 * The stops that lie ahead if every figure turns out as typical: a line never holds before its typical slack, a hand
 * reaches from its typical reach on. For “about 2 more”, the marks in the well and the minutes of the call.
 *
 * @example planDescent(state).stops.length
 */
export function planDescent(state: TankState, margins: Margins = state.shop): Plan {
  let now: TankState = asTypical(state);
  const stops: Stop[] = [];
  const done = (outcome: Plan['outcome']): Plan => ({
    stops,
    outcome,
    minutes: total(stops.map((s) => s.minutes)),
  });
  for (let i = 0; i < MOST_STOPS; i++) {
    const stop = nextStop(now, margins);
    stops.push(stop);
    if (stop.kind === 'out' || stop.kind === 'there') return done('way');
    if (stop.kind === 'held') return done('held');
    now = afterStop(now, stop);
  }
  return done('held');
}

/** Half-known figures set to their likely value; what was felt or seen stays. */
function asTypical(state: TankState): TankState {
  const slack = Object.fromEntries(Object.entries(state.slack).map(([id, s]) => [id, { ...s, lo: s.typ, hi: s.typ }]));
  const vehicle = {
    ...state.vehicle,
    connections: state.vehicle.connections.map((line) => ({
      ...line,
      part: line.part.map((way) => ({
        ...way,
        reachFrom: { ...way.reachFrom, hi: way.reachFrom.typ },
        reachTo: { ...way.reachTo, lo: way.reachTo.typ },
      })),
      clips: line.clips.map((clip) => ({ ...clip, slack: { ...clip.slack, lo: clip.slack.typ, hi: clip.slack.typ } })),
    })),
    obstructions: state.vehicle.obstructions.map((o) =>
      o.blocksAt ? { ...o, blocksAt: { ...o.blocksAt, lo: o.blocksAt.typ, hi: o.blocksAt.typ } } : o,
    ),
  };
  return { ...state, vehicle, slack };
}

/**
 * The state once a stop went as said.
 *
 * @example afterStop(state, nextStop(state)).pose
 */
export function afterStop<S extends TankState>(state: S, stop: Pick<Stop, 'pose' | 'actions'>): S {
  const looked = state.looked || !isHome(stop.pose);
  return stop.actions.reduce<S>((now, action) => takenOff(now, action.key, action.way), {
    ...state,
    looked,
    pose: stop.pose,
  });
}

/**
 * Stop marks for the drawing: drops still ahead with the short names of what comes off there.
 *
 * @example marksAhead(ahead(state).walk)[0] // { drop: 40, names: ['feed'] }
 */
export function marksAhead(walk: readonly Stop[]): { drop: number; names: string[] }[] {
  return walk
    .filter((s) => s.kind !== 'out' && s.kind !== 'there' && s.kind !== 'held')
    .map((s) => ({
      drop: deepest(s.pose),
      names: s.actions.filter((a) => a.type === 'part').map((a) => a.name),
    }));
}
