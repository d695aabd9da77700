import { commonPractice } from '../basis/index.ts';
import { total } from '../estimate/index.ts';
import { keyOf } from '../job/names.ts';
import { estimateOf, type Way } from '../vehicle/index.ts';
import { partingHint } from './hints.ts';
import { bindings, drop, holdersAt, isDone, safeUnder, surelyReaches, type Binding } from './limits.ts';
import { CREEP, FIRST_STOP, gridDown, GRID, gridUp, standardMargins, type Margins } from './margins.ts';
import type { Action, Stop, TankState } from './types.ts';

/** One change of height with its look, minutes; common practice, no source. */
const MOVE_MINUTES = { lo: 1, typ: 2, hi: 4, basis: commonPractice };

/**
 * The next stop on the way down, level lowering. First what can be done where the tank hangs; then the deepest drop that
 * is safe whatever is true within the ranges; where that is less than 10 mm away, a creep; where nothing lets it go, what holds.
 *
 * @returns poses in mm on a 5 mm grid; at every pose but in a creep each binding limit keeps 10 mm under its low end
 * @example nextStop(foldJob(null, entries)!).pose // { f: 25, r: 25 }
 */
export function nextStop(state: TankState, margins: Margins = standardMargins): Stop {
  const here = drop(state);
  const work = actionsAt(state, here, margins);
  if (work.length > 0) return stopAt(state, here, here === 0 ? 'start' : 'stop', margins);
  const binding = bindings(state);
  if (binding.length === 0) return stopAt(state, state.vehicle.clear, 'out', margins);
  const target = deepestSafe(state, binding, margins);
  if (target >= here + CREEP || (here === 0 && target > 0)) return stopAt(state, target, 'stop', margins);
  const creepTo = Math.min(here + CREEP, ...binding.map((b) => gridDown(b.fast ?? b.limit.hi)));
  return creepTo > here ? stopAt(state, creepTo, 'creep', margins) : stopAt(state, here, 'held', margins);
}

/** Deepest drop that keeps every margin, is no first stop below 25 mm, and passes no reach that would be lost. */
function deepestSafe(state: TankState, binding: readonly Binding[], margins: Margins): number {
  const here = drop(state);
  const first = here === 0 ? FIRST_STOP : Infinity;
  const lost = binding.flatMap((b) => (b.line ? lastChance(b.line.part, here) : []));
  return Math.min(state.vehicle.clear, first, ...lost, ...binding.map((b) => safeUnder(b, margins)));
}

/** The lowest drop at which a line can still be parted, when all its ways end and have not ended yet. */
function lastChance(ways: readonly Way[], here: number): number[] {
  const end = Math.max(...ways.map((way) => gridDown(way.reachTo.lo)));
  return end > here ? [end] : [];
}

/**
 * A stop at a given drop: what comes off there, what holds from there, what is only guessed.
 * Used for the plan's own stop and for a height the technician chose.
 */
export function stopAt(state: TankState, to: number, kind: Stop['kind'], margins: Margins = standardMargins): Stop {
  const pose = { f: to, r: to };
  const at: TankState = { ...state, pose };
  const actions = kind === 'creep' || kind === 'held' || kind === 'out' ? [] : actionsAt(at, to, margins);
  const binding = bindings(at).filter((b) => !actions.some((a) => a.key === b.key));
  const risky = kind === 'creep' || to <= drop(state) ? [] : bindings(state).filter((b) => safeUnder(b, margins) < to);
  const onLines = binding.filter((b) => b.line);
  const from = state.pose;
  const moves = from.f !== to || from.r !== to ? [MOVE_MINUTES] : [];
  return {
    kind,
    from,
    pose,
    actions,
    watch:
      kind === 'creep'
        ? bindings(state)
            .filter((b) => safeUnder(b, margins) < to)
            .map((b) => b.key)
        : [],
    risk: holdersAt(risky, to)[0] ?? null,
    holders: holdersAt(binding, to),
    needs: onLines.flatMap((b) => needOf(at, b, to)),
    unseen: onLines.filter((b) => b.line!.visibleFrom.hi > to).map((b) => b.key),
    minutes: total([...moves, ...actions.map((a) => a.minutes)]),
  };
}

/** What a guessed line must give so that a hand reaches it before it is tight, mm. */
function needOf(state: TankState, binding: Binding, to: number): Stop['needs'] {
  const line = binding.line!;
  const reach = Math.min(
    ...line.part.map((way) => Math.min(gridUp(way.reachFrom.hi), state.reached[line.id] ?? Infinity)),
  );
  if (binding.fast !== null || binding.limit.lo >= reach || reach <= to) return [];
  return [{ key: binding.key, name: binding.name, mm: reach }];
}

/**
 * What can be taken off at this drop for certain. Every line within reach is parted; a clip is released and an
 * obstruction cleared, each by its first way, when it would hold the next move.
 */
function actionsAt(state: TankState, to: number, margins: Margins): Action[] {
  const actions: Action[] = [];
  const skipped = (key: string) => state.notDone[key]?.drop === to;
  let now: TankState = { ...state, pose: { f: to, r: to } };
  const take = (action: Action) => {
    actions.push(action);
    now = withOff(now, action.key);
  };
  const ready = (way: Way) => way.after.every((id) => isDone(now, id));
  const tryWays = (ways: readonly Way[], seenAt?: number) =>
    ways.find((way) => ready(way) && surelyReaches(way, to, seenAt));
  for (let before = -1; before !== actions.length;) {
    before = actions.length;
    const binding = bindings(now);
    for (const { line, key } of binding) {
      if (!line || skipped(key)) continue;
      const way = tryWays(line.part, now.reached[line.id]);
      if (way)
        take(actionOf(now, 'part', key, line.name, way, line.wetWhenOpen || line.kind === 'evap', partingHint(line)));
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
          const way = isDone(now, clip.id) || skipped(key) ? undefined : tryWays(clip.ways);
          if (way)
            take(
              actionOf(
                now,
                'unclip',
                key,
                clip.name ?? `${b.name} clip`,
                way,
                false,
                'gives the line slack; it goes back at home',
              ),
            );
        }
      } else {
        const way = b.obstruction ? tryWays(b.obstruction.clear) : undefined;
        if (way) take(actionOf(now, 'clear', b.key, b.name, way, false, 'mark it, bag its bolts'));
      }
    }
    for (const thing of state.vehicle.obstructions) {
      const key = keyOf('obstruction', thing.id);
      if (thing.blocksAt !== null || isDone(now, thing.id) || skipped(key)) continue;
      if (!left.some((b) => b.line && asksFor(b.line.part, key))) continue;
      const way = tryWays(thing.clear);
      if (way) take(actionOf(now, 'clear', key, thing.name, way, false, 'a line waits for it'));
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

function withOff(state: TankState, key: string): TankState {
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

function actionOf(
  state: TankState,
  type: Action['type'],
  key: string,
  name: string,
  way: Way,
  cap: boolean,
  hint: string,
): Action {
  return {
    type,
    key,
    name,
    way: way.id,
    cap,
    people: way.people,
    tools: way.tools,
    minutes: estimateOf(state.vehicle, way.minutes),
    hint,
  };
}

/** Supports come off last before the first move, once the jack carries. Minutes: common practice, no source. */
function supportsOff(state: TankState): Action[] {
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

/** A whole number of grid steps within reach of the ± keys. */
export const stepHeight = (from: number, by: -10 | 10 | -5 | 5, clear: number): number =>
  Math.min(clear, Math.max(0, Math.round((from + by) / GRID) * GRID));
