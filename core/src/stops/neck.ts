import { commonPractice } from '../basis/index.ts';
import { total, type Estimate } from '../estimate/index.ts';
import { MOVE_MINUTES, portDrop, type TankState } from '../hang/index.ts';
import { waysBack } from './upItems.ts';
import { estimateOf, keyOf, type Connection } from '../vehicle/index.ts';
import { wayUp, type WayUp } from './wayUp.ts';

/** One order of the neck, solved. */
export interface NeckOrder {
  /** Which. */
  order: 'on the vehicle' | 'with the tank';
  /** The way up so; null: there is none by the file’s figures. */
  minutes: Estimate | null;
  /** Stops on the way. */
  stops: number;
  /** Joints that are made under way in the narrow place beside the neck, lowest first, with the drop in mm. */
  beside: { name: string; at: number }[];
  /** What to look at before it is chosen. */
  look: string;
}

/** Neck and breather, which go together. */
const NECK: readonly Connection['kind'][] = ['filler', 'breather'];
/** Cap and its key, three or four screws to the body, ground, with the tank home. Common practice, no source. */
const SCREWS: Estimate = { lo: 8, typ: 14, hi: 20, basis: commonPractice };
/** Lines so near the neck are in its shadow once it stands on the tank, mm; common practice, no source. */
const NEAR = 250;

/** Minutes of a way up, as the ranges of its hands add up, and its moves. */
function minutesOf(state: TankState, { route }: WayUp): Estimate {
  const hands = route.stops.flatMap(({ uses }) =>
    uses.flatMap(({ thing, way }) => {
      const used = waysBack(state, thing).find(({ id }) => id === way);
      return used ? [estimateOf(state.vehicle, used.minutes)] : [];
    }),
  );
  return total([...hands, ...Array.from({ length: route.moves }, () => MOVE_MINUTES)]);
}

/**
 * Both orders of the neck, each solved as a way up: left on the vehicle and made to the tank under way, or joined on the bench and screwed to the
 * body at home. Empty where the neck is not off, or is one piece with the tank.
 *
 * @example neckOrders(state).map(({ order, minutes }) => [order, minutes?.typ]) // [['on the vehicle', 48], ['with the tank', 55]]
 */
export function neckOrders(state: TankState): NeckOrder[] {
  const { vehicle } = state;
  const isOff = (line: Connection) =>
    state.items.some((item) => item.key === keyOf('line', line.id) && item.state === 'open');
  const neck = vehicle.connections.filter((line) => NECK.includes(line.kind) && isOff(line));
  const filler = neck.find(({ kind }) => kind === 'filler');
  if (!filler) return [];
  const ids = new Set(neck.map(({ id }) => id));
  const keys = new Set(neck.map(({ id }) => keyOf('line', id)));
  const carried: TankState = {
    ...state,
    items: state.items.filter(({ key }) => !keys.has(key)),
    vehicle: { ...vehicle, connections: vehicle.connections.filter(({ id }) => !ids.has(id)) },
  };
  const [first, second] = [wayUp(state), wayUp(carried)];
  const near = vehicle.connections.filter(
    (line) => !ids.has(line.id) && isOff(line) && Math.abs(line.x - filler.x) <= NEAR,
  );
  const madeAt = (way: typeof first, line: Connection): number | null => {
    const stop = way?.route.stops.find(({ uses }) => uses.some(({ thing }) => thing === keyOf('line', line.id)));
    return stop ? Math.round(portDrop(state, stop.pose, line)) : null;
  };
  const beside = near
    .flatMap((line) => {
      const at = madeAt(second, line);
      return at === null ? [] : [{ name: line.name, at }];
    })
    .sort((a, b) => b.at - a.at);
  return [
    {
      order: 'on the vehicle',
      minutes: first && minutesOf(state, first),
      stops: first?.route.stops.length ?? 0,
      beside: [],
      look: 'are both hose ends reached from where they are made, with the clamps slack until it is home?',
    },
    {
      order: 'with the tank',
      // Joined on the bench, where both hands are free: what is made there is made all the same.
      minutes: second && total([minutesOf(carried, second), ...onBench(state, neck), SCREWS]),
      stops: second?.route.stops.length ?? 0,
      beside,
      look: 'does the neck pass its opening in the body as the tank comes up, and is its grommet sound?',
    },
  ];
}

/** The quickest way of making each, as it is on the bench. */
const onBench = ({ vehicle }: TankState, neck: readonly Connection[]): Estimate[] =>
  neck.flatMap(({ make }) => {
    const [least] = [...make].sort((a, b) => a.minutes.typ - b.minutes.typ);
    return least ? [estimateOf(vehicle, least.minutes)] : [];
  });
