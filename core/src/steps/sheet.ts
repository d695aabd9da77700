import { ahead, asks, outlook, type Ahead } from '../foresight/index.ts';
import { FIRST_STOP, type TankState } from '../hang/index.ts';
import { descended, nameOf, type JobState } from '../job/index.ts';
import { deepest, isLevel, poseInWords, type Pose } from '../pose/index.ts';
import { handUnitNear, type UnitSystem } from '../quantity/index.ts';
import type { Route } from '../route/index.ts';
import {
  actionsOf,
  afterStop,
  makingHint,
  routeDown,
  routeModel,
  TEST,
  wayUp,
  type Action,
  type View,
} from '../stops/index.ts';
import {
  backHint,
  byJack,
  lineOf,
  obstructionOf,
  offHint,
  shortName,
  splitKey,
  supportOf,
  travelWords,
  type TravelWords,
  type VehicleFile,
} from '../vehicle/index.ts';
import { carrierUnder, supportTools } from './steps.ts';

/** A stop as it stands on paper. */
export interface SheetStop {
  /** Its number. */
  n: number;
  /** mm of the two ends. */
  pose: Pose;
  /** Is it the last one down? */
  down: boolean;
  /** What is done there, a line each. */
  steps: string[];
}

/** The plan on one page. */
export interface PlanSheet {
  /** As people call it. */
  vehicle: string;
  /** What its two ends are called. */
  ends: readonly [string, string];
  /** What moving it is called. */
  travel: TravelWords;
  /** What the figures of the plan are taken as: true whatever is true, or only as likely. */
  certain: boolean;
  /** Minutes and stops down, as every place shows them; null where there is no way. */
  ahead: Ahead | null;
  /** Stops down. */
  down: SheetStop[];
  /** Stops up. */
  up: SheetStop[];
  /** What each must let for the plan to hold, mm. */
  asks: { name: string; mm: number }[];
  /** Stands at the foot. */
  caution: string;
}

const cautionFor = (vehicle: VehicleFile): string =>
  `No flame, no spark, cold light only; air through; eyes and hands covered; ${byJack(vehicle) ? 'what carries it padded and in place' : 'dry, and hands enough to hold it'}. ` +
  'The service information of the vehicle and local codes come first.';

/**
 * The plan for a shop without a device under the car: stops down with their steps, the way up, what each line must let.
 * The certain plan if there is one, else the likely one, said so.
 *
 * @returns empty ways where there is none
 * @example planSheet(state).down[0]?.pose // { f: 0, r: 0 }
 */
export function planSheet(state: JobState): PlanSheet {
  const certain = outlook(state).worst !== null;
  const view: View = certain ? 'worst' : 'typical';
  const route = descended(state) ? null : routeDown(state, view, state.shop);
  const model = routeModel(state, view, state.shop);
  const down = (route?.stops ?? []).map((stop, n): SheetStop => {
    const actions = actionsOf(state, stop.uses);
    return { n, pose: stop.pose, down: n === route!.stops.length - 1, steps: onPaper(state, actions) };
  });
  // Said once, before the first of them.
  down.find(({ steps }) => steps.length > 0)?.steps.unshift(`each line: ${NUMBERED}`);
  return {
    vehicle: state.vehicle.name,
    ends: state.vehicle.ends,
    travel: travelWords(state.vehicle),
    certain,
    ahead: route ? ahead(state) : null,
    down: withFirstLook(down),
    up: upStops(state, descended(state) ? state : below(state, route)),
    asks: route ? asks(model, route).map(({ key, mm }) => ({ name: shortName(nameOf(state, key)), mm })) : [],
    caution: cautionFor(state.vehicle),
  };
}

/**
 * A height with the unit of the hand where one fits, and which way it is measured where the tank does not hang.
 *
 * @example heightInWords({ f: 40, r: 40 }, { ends: ['front', 'rear'], travel: travelWords(rail) }) // '40 mm, two fingers'
 */
export function heightInWords(
  pose: Pose,
  { ends, travel: { beside } }: Pick<PlanSheet, 'ends' | 'travel'>,
  units: UnitSystem = 'metric',
): string {
  const hand = isLevel(pose) && pose.f > 0 ? handUnitNear(pose.f) : null;
  const height = `${poseInWords(pose, ends, units)}${beside && deepest(pose) > 0 ? ` ${beside}` : ''}`;
  return [height, ...(hand ? [hand] : [])].join(', ');
}

const NUMBERED = 'its number on both ends with the paint pen, before it is parted';

/** What is done at a stop, a thing a line: read at an arm's length, so each in one breath. */
function onPaper(state: JobState, actions: readonly Action[]): string[] {
  const first = actions.find(({ type }) => type === 'support');
  const withTools = (text: string, tools: readonly string[]) =>
    `${text}${tools.length > 0 ? ` [${tools.join(', ')}]` : ''}`;
  return actions.flatMap((action) => {
    const support = action.type === 'support' ? supportOf(state.vehicle, splitKey(action.key).id) : undefined;
    const how = support
      ? offHint(support)
      : action.type === 'unclip'
        ? 'off the rail, the line comes slack'
        : action.hint;
    const said = `${action.name}: ${how}${action.cap ? '; cap both ends' : ''}`;
    const tools = support ? supportTools(state, support) : action.tools;
    const carried = action === first ? [carrierUnder(state.vehicle)] : [];
    return [...carried.map(({ text, tools }) => withTools(text, tools)), withTools(said, tools)];
  });
}

/** On paper too the first stop is never deep, and nothing goes to the ground without one look. */
function withFirstLook(down: readonly SheetStop[]): SheetStop[] {
  const [home, first, ...rest] = down;
  if (!home || !first || Math.max(first.pose.f, first.pose.r) <= FIRST_STOP) return [...down];
  const steps = ['look on top: anything tight, or less than two fingers of play? Then stop here and free it first'];
  const look: SheetStop = { n: 1, pose: { f: FIRST_STOP, r: FIRST_STOP }, down: false, steps };
  return [home, look, ...[first, ...rest].map((stop) => ({ ...stop, n: stop.n + 1 }))];
}

/** As it will hang once the way down went as planned, with just that off; null where there is no way down. */
const below = (state: TankState, route: Route | null): TankState | null =>
  route &&
  route.stops.reduce((now, stop) => afterStop(now, { pose: stop.pose, actions: actionsOf(state, stop.uses) }), state);

/** The way up: everything that came off on the way down goes back. */
function upStops(state: JobState, from: TankState | null): SheetStop[] {
  const way = from && wayUp(from);
  return (way?.route.stops ?? []).map((stop, n) => ({
    n,
    pose: stop.pose,
    down: false,
    steps: stop.uses.map((use) => backInSteps(state, use)),
  }));
}

function backInSteps(state: JobState, { thing, way }: Route['stops'][number]['uses'][number]): string {
  if (thing === TEST) return 'Test stop: key on, look at every top joint with a cold light';
  const name = shortName(nameOf(state, thing));
  const { kind, id } = splitKey(thing);
  const { vehicle } = state;
  const line = kind === 'line' ? lineOf(vehicle, id) : undefined;
  if (line) return `${name} home: ${line.make.find((one) => one.id === way)?.caution ?? makingHint(line)}`;
  const support = kind === 'support' ? supportOf(vehicle, id) : undefined;
  if (support) return `${name}: ${backHint(support)}`;
  // What was not unscrewed is not put back on: its way says what is done.
  const own = obstructionOf(vehicle, id)?.restore.find((one) => one.id === way)?.caution;
  return own ? `${name}: ${own}` : `${name} back on`;
}
