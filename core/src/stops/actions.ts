import { commonPractice } from '../basis/index.ts';
import {
  bindings,
  CREEP,
  FIRST_STOP,
  isDone,
  safeUnder,
  surelyReaches,
  takenOff,
  type Binding,
  type Margins,
  type TankState,
} from '../hang/index.ts';
import { isOff } from '../ledger/index.ts';
import { deepest, dropAt, type Pose } from '../pose/index.ts';
import { clipOwner, estimateOf, fileName, keyOf, lineOf, splitKey, type Way } from '../vehicle/index.ts';
import { partingHint } from './hints.ts';
import type { Action } from './types.ts';

/**
 * What can be taken off in a pose for certain. Every line within reach is parted; a clip is released and an obstruction
 * cleared when it would hold the next move; each by the way that takes least.
 */
export function actionsAt(state: TankState, pose: Pose, margins: Margins): Action[] {
  const actions: Action[] = [];
  const to = Math.max(pose.f, pose.r);
  const skipped = (key: string) => state.notDone[key]?.drop === to;
  let now: TankState = { ...state, pose };
  const take = (action: Action) => {
    actions.push(action);
    now = takenOff(now, action.key, action.way);
  };
  const ready = (way: Way) => way.after.every((id) => isDone(now, id));
  const tryWays = (ways: readonly Way[], x: number, seenAt?: number) =>
    ways
      .filter((way) => ready(way) && surelyReaches(way, dropAt(pose, x, state.vehicle.length), seenAt))
      .sort((a, b) => a.minutes.typ - b.minutes.typ)[0];
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
      const needed =
        safeUnder(b, margins) < wanted || b.fast !== null || left.some((o) => o.line && asksFor(o.line.part, b.key));
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
    for (const thing of state.vehicle.obstructions) {
      const key = keyOf('obstruction', thing.id);
      if (thing.blocksAt !== null || isDone(now, thing.id) || skipped(key)) continue;
      if (!left.some((b) => b.line && asksFor(b.line.part, key))) continue;
      const way = tryWays(thing.clear, thing.x);
      if (way) take({ ...actionFor(now, key, way), hint: 'a line waits for it' });
    }
  }
  return to === 0 ? [...actions, ...supportsOff(state)] : actions;
}

const asksFor = (ways: readonly Way[], key: string): boolean =>
  ways.some((way) => way.after.some((id) => key.endsWith(`:${id}`)));

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
  const name = fileName(vehicle, key) ?? id;
  return {
    type: line ? 'part' : owner ? 'unclip' : 'clear',
    key,
    name,
    way: way.id,
    cap: line ? line.wetWhenOpen || line.kind === 'evap' : false,
    people: way.people,
    tools: way.tools,
    minutes: estimateOf(state.vehicle, way.minutes),
    hint: line ? partingHint(line) : owner ? 'gives the line slack; it goes back at home' : 'mark it, bag its bolts',
  };
}

/**
 * Supports come off last before the first move, once the jack carries. Minutes: common practice, no source.
 *
 * @example supportsOff(state).map((a) => a.name) // ['front strap', 'rear strap']
 */
export function supportsOff(state: TankState): Action[] {
  return state.vehicle.supports
    .filter((s) => !isOff(state, keyOf('support', s.id)))
    .map((s) => ({
      type: 'support',
      key: keyOf('support', s.id),
      name: s.name,
      way: null,
      cap: false,
      people: 1,
      tools: [],
      minutes: { lo: 3, typ: 5, hi: 15, basis: commonPractice },
      hint: 'jack just carries; to the last few threads, then off; arrow to the front',
    }));
}
