import {
  bindings,
  CREEP,
  FIRST_STOP,
  isDone,
  safeUnder,
  surelyReaches,
  takenOff,
  waitsHere,
  type Binding,
  type Margins,
  type TankState,
} from '../hang/index.ts';
import { isOff } from '../ledger/index.ts';
import { deepest, dropAt, type Pose } from '../pose/index.ts';
import {
  clipOwner,
  estimateOf,
  fileName,
  isOpening,
  keyOf,
  lineOf,
  offHint,
  splitKey,
  supportOf,
  waysOff,
  type Way,
} from '../vehicle/index.ts';
import { carryingWord } from './carrying.ts';
import { partingHint } from './hints.ts';
import type { Action } from './types.ts';

/**
 * What can be taken off in a pose for certain. Every line within reach is parted; a clip is released and an obstruction
 * cleared when it would hold the next move; each by the way that takes least.
 */
export function actionsAt(state: TankState, pose: Pose, margins: Margins): Action[] {
  const { vehicle } = state;
  const actions: Action[] = [];
  const to = Math.max(pose.f, pose.r);
  const skipped = (key: string) => state.notDone[key]?.drop === to;
  let now: TankState = { ...state, pose };
  const take = (action: Action) => {
    actions.push(action);
    now = takenOff(now, action.key, action.way);
  };
  const ready = (way: Way) => waitsHere(now, way)?.first.length === 0;
  const tryWays = (ways: readonly Way[], x: number, seenAt?: number) =>
    ways
      .filter((way) => ready(way) && surelyReaches(way, dropAt(pose, x, vehicle.length), seenAt))
      .sort((a, b) => a.minutes.typ - b.minutes.typ)[0];
  const awaited = awaitedBy(state);
  for (let before = -1; before !== actions.length;) {
    before = actions.length;
    const binding = bindings(now);
    for (const { line, key } of binding) {
      if (!line || skipped(key)) continue;
      const way = tryWays(line.part, line.x, now.reached[line.id]);
      if (way) take(actionFor(now, key, way));
    }
    const left = bindings(now);
    const wanted = wantedNext(now, left, margins);
    for (const b of left) {
      const needed = safeUnder(b, margins) < wanted || b.fast !== null || awaited.has(b.key);
      if (!needed || skipped(b.key)) continue;
      if (b.line) {
        for (const clip of b.line.clips) {
          const key = keyOf('clip', clip.id);
          const way = isDone(now, clip.id) || skipped(key) ? undefined : tryWays(clip.ways, b.x);
          if (way) take(actionFor(now, key, way));
        }
      } else {
        const way = b.obstruction ? tryWays(b.obstruction.clear, b.x) : undefined;
        if (way) take(actionFor(now, b.key, way));
      }
    }
    for (const thing of vehicle.obstructions) {
      const key = keyOf('obstruction', thing.id);
      if (thing.blocksAt !== null || isOff(now, key) || skipped(key) || !awaited.has(key)) continue;
      const way = tryWays(thing.clear, thing.x);
      if (way) take({ ...actionFor(now, key, way), hint: 'something waits for it' });
    }
    // Supports come off only once nothing else is left to do at home but what waits for them.
    if (before === actions.length && to === 0)
      for (const support of vehicle.supports) {
        const key = keyOf('support', support.id);
        const way = isOff(now, key) || skipped(key) ? undefined : tryWays(waysOff(support), support.x);
        if (way) take(actionFor(now, key, way));
      }
  }
  return actions;
}

/** Keys that something waits for, directly or by what it waits for: what must come off, and what holds. */
function awaitedBy(state: TankState): Set<string> {
  const { vehicle } = state;
  const ways = new Map<string, readonly Way[]>([
    ...vehicle.connections.map((c) => [keyOf('line', c.id), c.part] as const),
    ...vehicle.connections.flatMap((c) => c.clips.map((k) => [keyOf('clip', k.id), k.ways] as const)),
    ...vehicle.obstructions.map((o) => [keyOf('obstruction', o.id), o.clear] as const),
    ...vehicle.supports.map((s) => [keyOf('support', s.id), waysOff(s)] as const),
  ]);
  const must = [
    ...bindings(state).filter((b) => b.line || b.limit.lo < vehicle.clear),
    ...vehicle.supports.map((s) => ({ key: keyOf('support', s.id) })).filter((s) => !isOff(state, s.key)),
  ].map((b) => b.key);
  const found = new Set<string>();
  for (const left = [...must]; left.length > 0;)
    for (const way of ways.get(left.pop()!) ?? [])
      for (const key of waitsHere(state, way)?.first ?? [])
        if (!found.has(key)) {
          found.add(key);
          left.push(key);
        }
  return found;
}

/** How far the tank would go next if nothing in its way and no clip held it. */
function wantedNext(state: TankState, left: readonly Binding[], margins: Margins): number {
  const here = deepest(state.pose);
  const fixed = left.filter((b) => b.line && b.line.clips.every((c) => isDone(state, c.id)));
  const limit = Math.min(state.vehicle.clear, ...fixed.map((b) => Math.max(here + CREEP, safeUnder(b, margins))));
  return here === 0 ? Math.min(FIRST_STOP, limit) : limit;
}

/**
 * A thing to take off by a way: its name, what it needs, how it lets go.
 *
 * @example actionFor(state, 'line:feed', way).hint
 */
export function actionFor(state: TankState, key: string, way: Way): Action {
  const { kind, id } = splitKey(key);
  const { vehicle } = state;
  const line = kind === 'line' ? lineOf(vehicle, id) : undefined;
  const owner = kind === 'clip' ? clipOwner(vehicle, id) : undefined;
  const support = kind === 'support' ? supportOf(vehicle, id) : undefined;
  const name = fileName(vehicle, key) ?? id;
  return {
    type: line ? 'part' : owner ? 'unclip' : support ? 'support' : 'clear',
    key,
    name,
    way: way.id,
    cap: line ? isOpening(line) : false,
    people: way.people,
    tools: way.tools,
    minutes: estimateOf(state.vehicle, way.minutes),
    hint:
      way.caution ??
      (line
        ? partingHint(line)
        : owner
          ? 'gives the line slack; it goes back at home'
          : support
            ? `${carryingWord(vehicle)}; ${offHint(support)}`
            : 'mark it, bag its bolts'),
  };
}
