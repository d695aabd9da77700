import { InputError, present } from '../errors/index.ts';
import { moveCost, tiltCost, wayCost } from './cost.ts';
import { tilts } from './geometry.ts';
import { GRID, isAbove } from '../pose/index.ts';
import type { RouteModel, RouteReach, RouteThing, RouteWay } from './types.ts';

/** Sets of things, ceilings and tilts are two words of bits each. */
const MOST = 62;

interface PreparedWay {
  id: string;
  thing: number;
  /** All of these must be in reach at once. */
  reaches: readonly RouteReach[];
  /** Whole cost, and what it costs above the thing's cheapest way (all of it where the thing need not be done). */
  extra: number;
  /** The cheapest way of its thing. */
  cheapest: boolean;
  after: [number, number];
  before: [number, number];
}

/** The model sorted by id and turned into bits. */
export interface Prepared {
  /** mm from end to end. */
  length: number;
  /** mm free below it. */
  clear: number;
  /** Every tilt it may hang in, mm of the second end below the first. */
  tilts: number[];
  /** Ids of the things, sorted. */
  things: string[];
  /** Every way of every thing. */
  ways: PreparedWay[];
  /** Indexes of each thing's ways. */
  waysOf: number[][];
  /** Ceilings: where, how low (mm), and the things that free it. */
  limits: { x: number; at: number; freed: [number, number] }[];
  /** What must be done. */
  must: [number, number];
  /** By thing: things whose ways need it in place. */
  neededBy: [number, number][];
  /** Sum of the cheapest ways of all that must be done. */
  base: number;
  /** Cost of a move. */
  move: number;
  /** Cost of a change of tilt. */
  tilt: number;
}

/** Is number `i` in the set, two words of 32 bits? @example bit([2, 0], 1) // true */
export const bit = (set: readonly [number, number], i: number): boolean => (set[i >> 5]! & (1 << (i & 31))) !== 0;
/** Puts number `i` into the set. @example add(set, 33) */
export const add = (set: [number, number], i: number): void => void (set[i >> 5]! |= 1 << (i & 31));
const byId = <T extends { id: string }>(a: T, b: T): number => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/**
 * Checks a model and turns it into the form the search works on.
 *
 * @throws InputError for poses off the grid, too many things, an unknown id, a circle
 * @example prepare(model).things // ['line:feed', 'line:vent']
 */
export function prepare(model: RouteModel): Prepared {
  check(model);
  const things = [...model.things].sort(byId);
  const index = new Map(things.map((thing, i) => [thing.id, i]));
  const setOf = (ids: readonly string[]): [number, number] => {
    const set: [number, number] = [0, 0];
    for (const id of ids) add(set, present(index.get(id), 'thing', id));
    return set;
  };
  const closed = ceilingsFirst(model);
  const must = setOf(mustFirst([...model.must, ...heldBefore(model)], things, closed));
  const ways: PreparedWay[] = [];
  const waysOf: number[][] = [];
  let base = 0;
  things.forEach((thing, t) => {
    const sorted = closed(thing)
      .map((way) => ({ way, cost: wayCost(way, model) }))
      .sort((a, b) => a.cost - b.cost || byId(a.way, b.way));
    const lowest = bit(must, t) ? (sorted[0]?.cost ?? 0) : 0;
    base += lowest;
    waysOf.push(sorted.map((_, i) => ways.length + i));
    for (const { way, cost } of sorted)
      ways.push({
        id: way.id,
        thing: t,
        reaches: [{ x: thing.x, from: way.from, to: way.to }, ...(way.also ?? [])],
        extra: cost - lowest,
        cheapest: bit(must, t) && cost === lowest,
        after: setOf(way.after),
        before: setOf(way.before ?? []),
      });
  });
  const neededBy = things.map((): [number, number] => [0, 0]);
  for (const way of ways) for (let t = 0; t < things.length; t++) if (bit(way.before, t)) add(neededBy[t]!, way.thing);
  return {
    length: model.length,
    clear: model.clear,
    tilts: tilts(model),
    things: things.map((thing) => thing.id),
    ways,
    waysOf,
    limits: model.limits.filter((l) => l.at < model.clear).map((l) => ({ x: l.x, at: l.at, freed: setOf(l.freedBy) })),
    must,
    neededBy,
    base,
    move: moveCost(model),
    tilt: tiltCost(model),
  };
}

/**
 * A hand that begins lower than a ceiling at its own place waits for the one thing that lifts it, be it a look, a clip or
 * a cover. Where nothing but the thing itself does, the way can't be used.
 */
const ceilingsFirst =
  ({ limits, start, length }: RouteModel) =>
  ({ id, x, ways }: RouteThing): RouteWay[] =>
    ways.flatMap((way) => {
      const after = new Set(way.after);
      for (const limit of limits) {
        // Where it hangs already it hangs, whatever the ceiling says.
        if (limit.x !== x || limit.at >= way.from || !isAbove(start, { x, at: limit.at, length })) continue;
        const others = limit.freedBy.filter((by) => by !== id);
        if (others.length === 0) return [];
        if (others.length === 1) after.add(others[0]!);
      }
      return [{ ...way, after: [...after] }];
    });

/** What alone lifts a ceiling above the goal must be done, whatever else is a choice. */
const heldBefore = ({ limits, goal, length }: RouteModel): string[] =>
  limits.flatMap(({ x, at, freedBy }) => (freedBy.length === 1 && !isAbove(goal, { x, at, length }) ? freedBy : []));

/** What every way of a thing that must be done waits for must be done as well: then it is no choice, and no branch. */
function mustFirst(
  must: readonly string[],
  things: readonly RouteThing[],
  waysOf: (thing: RouteThing) => readonly RouteWay[],
): string[] {
  const all = new Set(must);
  // A set takes what is added while it is walked.
  for (const id of all) {
    const thing = things.find((t) => t.id === id);
    const ways = thing ? waysOf(thing) : [];
    for (const first of ways[0]?.after ?? []) if (ways.every((way) => way.after.includes(first))) all.add(first);
  }
  return [...all];
}

function check(model: RouteModel): void {
  const { clear, start, goal, things, length } = model;
  if (!(length > 0)) throw new InputError('length', String(length), 'a length above zero');
  if (!(clear > 0) || clear % GRID !== 0) throw new InputError('clear', String(clear), 'a multiple of 5 mm above zero');
  for (const [field, pose] of [
    ['start', start],
    ['goal', goal],
  ] as const)
    if (![pose.f, pose.r].every((v) => v >= 0 && v <= clear && v % GRID === 0))
      throw new InputError(field, `${pose.f}, ${pose.r}`, `drops on the 5 mm grid between 0 and ${clear}`);
  if (things.length > MOST) throw new InputError('things', String(things.length), `at most ${MOST}`);
  if (model.limits.length > MOST) throw new InputError('limits', String(model.limits.length), `at most ${MOST}`);
  const known = new Set(things.map((t) => t.id));
  if (known.size !== things.length) throw new InputError('things', 'one id twice', 'ids used only once');
  const name = (id: string, field: string) => {
    if (!known.has(id)) throw new InputError(field, id, 'the id of a thing in this model');
  };
  model.must.forEach((id) => name(id, 'must'));
  for (const limit of model.limits) limit.freedBy.forEach((id) => name(id, 'freedBy'));
  for (const thing of things)
    for (const way of thing.ways) [...way.after, ...(way.before ?? [])].forEach((id) => name(id, `${way.id}.after`));
}
