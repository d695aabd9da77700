import { commonPractice } from '../basis/index.ts';
import { localDrop } from '../job/apply/tank.ts';
import { keyOf, splitKey } from '../job/names.ts';
import type { Pose } from '../job/types.ts';
import { estimateOf, type Way } from '../vehicle/index.ts';
import { partingHint } from './hints.ts';
import { bindings, drop, isDone, safeUnder, surelyReaches, type Binding } from './limits.ts';
import { CREEP, FIRST_STOP, type Margins } from './margins.ts';
import type { Action, TankState } from './types.ts';

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
    now = withOff(now, action.key);
  };
  const ready = (way: Way) => way.after.every((id) => isDone(now, id));
  const tryWays = (ways: readonly Way[], x: number, seenAt?: number) =>
    ways
      .filter((way) => ready(way) && surelyReaches(way, localDrop(pose, x, state.vehicle.length), seenAt))
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
  const here = drop(state);
  const fixed = left.filter((b) => b.line && b.line.clips.every((c) => isDone(state, c.id)));
  const limit = Math.min(state.vehicle.clear, ...fixed.map((b) => Math.max(here + CREEP, safeUnder(b, margins))));
  return here === 0 ? Math.min(FIRST_STOP, limit) : limit;
}

export function withOff(state: TankState, key: string): TankState {
  const item = { key, state: 'open' } as TankState['items'][number];
  const id = key.slice(key.indexOf(':') + 1);
  const owner = key.startsWith('clip:')
    ? state.vehicle.connections.find((c) => c.clips.some((k) => k.id === id))
    : undefined;
  const clip = owner?.clips.find((c) => c.id === id);
  if (!owner || !clip) return { ...state, items: [...state.items, item] };
  const now = state.slack[owner.id]!;
  const freed = estimateOf(state.vehicle, clip.slack);
  const slack = {
    lo: Math.max(now.lo, freed.lo),
    typ: Math.max(now.typ, freed.typ),
    hi: Math.max(now.hi, freed.hi),
    basis: freed.basis,
  };
  const taut = Object.fromEntries(Object.entries(state.taut).filter(([line]) => line !== owner.id));
  return { ...state, taut, slack: { ...state.slack, [owner.id]: slack }, items: [...state.items, item] };
}

/** A thing to take off by a way: its name, what it needs, how it lets go. */
export function actionFor(state: TankState, key: string, way: Way): Action {
  const { kind, id } = splitKey(key);
  const { connections, obstructions } = state.vehicle;
  const line = kind === 'line' ? connections.find((c) => c.id === id) : undefined;
  const owner = kind === 'clip' ? connections.find((c) => c.clips.some((k) => k.id === id)) : undefined;
  const name =
    line?.name ??
    (owner ? (owner.clips.find((k) => k.id === id)!.name ?? `${owner.name} clip`) : undefined) ??
    obstructions.find((o) => o.id === id)?.name ??
    id;
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

/** Supports come off last before the first move, once the jack carries. Minutes: common practice, no source. */
export function supportsOff(state: TankState): Action[] {
  return state.vehicle.supports
    .filter((s) => !state.items.some((item) => item.key === keyOf('support', s.id) && item.state !== 'closed'))
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
