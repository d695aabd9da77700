import { InputError } from '../errors/index.ts';
import { checkShape, trappedFuel } from '../shape/index.ts';
import type { VehicleFile } from './types.ts';
import { checkWritten } from './written.ts';
import type { Range, Way } from './ways.ts';
import { jobEvents, waitsOf } from './waits.ts';

/** More things and ceilings than the exact search holds, less some room for what is found on the way. */
const MOST_TO_PLAN = 56;

/**
 * Checks the sense of a vehicle file whose structure already fits the schema: names that are written, ranges in rising
 * order, places on the tank, unique ids, `after` and `while` that name something and can be followed, no more than can be planned.
 *
 * @throws InputError for the first thing that is wrong, with its path
 * @example checkVehicle(archetypes[0])
 */
export function checkVehicle(file: VehicleFile): void {
  checkWritten(file);
  if (file.clear % 5 !== 0 || file.clear <= 0)
    throw new InputError('clear', String(file.clear), 'a multiple of 5 mm above zero');
  const known = new Set<string>();
  const ways: { id: string; path: string; down: Way[]; up: Way[] }[] = [];
  const add = (id: string, path: string, { down, up }: { down: Way[]; up: Way[] }) => {
    if (known.has(id)) throw new InputError(`${path}.id`, id, 'an id used only once');
    known.add(id);
    down.forEach((way, i) => checkWay(way, `${path}.ways[${i}]`));
    up.forEach((way, i) => checkWay(way, `${path}.back[${i}]`));
    ways.push({ id, path, down, up });
  };
  const onTank = (x: number, path: string) => {
    if (x < 0 || x > file.length)
      throw new InputError(`${path}.x`, String(x), `a place between 0 and ${file.length} mm`);
  };
  file.connections.forEach((line, i) => {
    const path = `connections[${i}]`;
    onTank(line.x, path);
    checkRange(line.slack, `${path}.slack`, 0);
    checkRange(line.visibleFrom, `${path}.visibleFrom`, 0);
    if (!(line.lookMinutes >= 0 && line.lookMinutes <= MOST_MINUTES))
      throw new InputError(`${path}.lookMinutes`, String(line.lookMinutes), `0 to ${MOST_MINUTES} minutes`);
    if (line.part.length === 0) throw new InputError(`${path}.part`, '', 'at least one place where it parts');
    if (line.make.length === 0) throw new InputError(`${path}.make`, '', 'at least one place where it is made');
    add(line.id, path, { down: line.part, up: line.make });
    for (const clip of line.clips) {
      checkRange(clip.slack, `${path}.clips.${clip.id}.slack`, 0);
      if (clip.slack.lo < line.slack.lo)
        throw new InputError(
          `${path}.clips.${clip.id}.slack`,
          String(clip.slack.lo),
          'no less slack than with the clip on',
        );
      add(clip.id, `${path}.clips.${clip.id}`, { down: clip.ways, up: clip.ways });
    }
  });
  file.obstructions.forEach((thing, i) => {
    const path = `obstructions[${i}]`;
    onTank(thing.x, path);
    if (thing.blocksAt) checkRange(thing.blocksAt, `${path}.blocksAt`, 0);
    add(thing.id, path, { down: thing.clear, up: thing.restore });
  });
  file.supports.forEach((support, i) => {
    const path = `supports[${i}]`;
    onTank(support.x, path);
    add(support.id, path, { down: support.off ?? [], up: support.on ?? support.off ?? [] });
    if (!file.fasteners.some((f) => f.id === support.fastener))
      throw new InputError(`supports.${support.id}.fastener`, support.fastener, 'the id of a fastener in this file');
  });
  checkRange(file.tank.litres, 'tank.litres', 0);
  checkRange(file.tank.emptyMass, 'tank.emptyMass', 0);
  checkRange(file.tank.unusable, 'tank.unusable', 0);
  checkTank(file.tank);
  checkEngine(file);
  for (const fastener of file.fasteners)
    if (!Number.isInteger(fastener.count) || fastener.count < 1)
      throw new InputError(`fasteners.${fastener.id}.count`, String(fastener.count), 'a whole number from 1');
  const wayIds = new Set(ways.flatMap(({ down, up }) => [...down, ...up].map((way) => way.id)));
  const named = (id: string): boolean => known.has(id) || wayIds.has(id);
  for (const variant of file.variants ?? []) {
    const labels = variant.choices.map((c) => c.label);
    if (labels.length < 2)
      throw new InputError(`variants.${variant.id}.choices`, String(labels.length), 'at least two choices');
    if (variant.usual !== undefined && !labels.includes(variant.usual))
      throw new InputError(`variants.${variant.id}.usual`, variant.usual, labels.join(' or '));
    for (const other of variant.choices.flatMap((c) => c.without))
      if (!named(other))
        throw new InputError(`variants.${variant.id}`, other, 'the id of a thing or a way in this file');
  }
  checkUnit(file);
  checkOrder(ways, named);
  const { connections, obstructions, supports } = file;
  const clips = connections.reduce((sum, line) => sum + line.clips.length, 0);
  const planned = 2 * connections.length + clips + obstructions.length + supports.length;
  if (planned > MOST_TO_PLAN)
    throw new InputError(
      'connections',
      `${planned}`,
      `twice the lines, with clips, supports and what is in the way, at most ${MOST_TO_PLAN}: so many can be planned`,
    );
}

/** Shape and outlet; also for a shape that is typed while a job runs. @example checkTank(file.tank) */
export function checkTank({ shape, outlet }: Pick<VehicleFile['tank'], 'shape' | 'outlet'>): void {
  checkShape(shape, 'tank.shape');
  if (outlet && shape.kind !== 'table') trappedFuel(shape, [outlet.x, outlet.y, outlet.z]);
}

function checkRange(range: Range, path: string, least: number): void {
  if (![range.lo, range.typ, range.hi].every(Number.isFinite)) throw new InputError(path, 'not a number', 'numbers');
  if (range.lo < least) throw new InputError(path, String(range.lo), `at least ${least}`);
  if (range.lo > range.typ || range.typ > range.hi)
    throw new InputError(path, `${range.lo} / ${range.typ} / ${range.hi}`, 'low, likely and high in rising order');
}

/** Nobody plans one act of more than a working day, minutes. */
const MOST_MINUTES = 600;

function checkWay(way: Way, path: string): void {
  checkRange(way.reachFrom, `${path}.reachFrom`, 0);
  checkRange(way.reachTo, `${path}.reachTo`, 0);
  checkRange(way.minutes, `${path}.minutes`, 0);
  if (way.minutes.hi > MOST_MINUTES)
    throw new InputError(`${path}.minutes`, String(way.minutes.hi), `at most ${MOST_MINUTES} minutes`);
  if (way.reachFrom.typ > way.reachTo.typ)
    throw new InputError(
      `${path}.reachTo`,
      `${way.reachFrom.typ} to ${way.reachTo.typ}`,
      'a reach that ends lower than it begins',
    );
}

/** Engine's need and sender, where somebody wrote them. */
function checkEngine({ fuelSystem, sender }: VehicleFile): void {
  for (const [name, range] of Object.entries(fuelSystem?.engine ?? {}))
    checkRange(range as Range, `fuelSystem.engine.${name}`, 0);
  const curve = sender?.curve ?? [];
  for (const [i, point] of curve.entries())
    if (i > 0 && point.mm <= curve[i - 1]!.mm)
      throw new InputError(`sender.curve[${i}].mm`, String(point.mm), `more than ${curve[i - 1]!.mm} mm, rising`);
}

/** Parts of the unit with ids of their own, that sit on one another. */
function checkUnit({ unit }: VehicleFile): void {
  const ids = new Set<string>();
  for (const [i, part] of (unit?.parts ?? []).entries()) {
    if (ids.has(part.id)) throw new InputError(`unit.parts[${i}].id`, part.id, 'an id used only once');
    if (part.mates !== undefined && !ids.has(part.mates))
      throw new InputError(`unit.parts[${i}].mates`, part.mates, 'the id of a part below it');
    ids.add(part.id);
  }
}

/** Everything can be done in some order, going down and going up: nothing waits for what waits for it. */
function checkOrder(
  list: readonly { id: string; path: string; down: Way[]; up: Way[] }[],
  named: (id: string) => boolean,
): void {
  const thingOf = new Map(list.flatMap(({ id, down, up }) => [...down, ...up].map((way) => [way.id, id] as const)));
  for (const { id } of list) thingOf.set(id, id);
  for (const direction of ['down', 'up'] as const) {
    const waits = new Map(
      list.map(({ id, path, [direction]: ways }) => {
        for (const other of ways.flatMap((way) => [...way.after, ...(way.while ?? []).map((w) => w.id)]))
          if (!named(other) && !(jobEvents as readonly string[]).includes(other))
            throw new InputError(`${path}.after`, other, 'the id of a thing or a way in this file');
        return [id, ways.map((way) => waitsOf(way, direction).first.flatMap((other) => thingOf.get(other) ?? []))];
      }),
    );
    // What must still be in place for every way of a thing comes after that thing.
    for (const { id, [direction]: ways } of list)
      for (const other of ways[0] ? waitsOf(ways[0], direction).notYet : [])
        if (ways.every((way) => waitsOf(way, direction).notYet.includes(other))) {
          const later = waits.get(thingOf.get(other) ?? '');
          for (const firsts of later ?? []) firsts.push(id);
        }
    const done = new Set<string>();
    for (let grew = true; grew;) {
      grew = false;
      for (const [id, ways] of waits)
        if (!done.has(id) && (ways.length === 0 || ways.some((firsts) => firsts.every((other) => done.has(other))))) {
          done.add(id);
          grew = true;
        }
    }
    const stuck = [...waits.keys()].filter((id) => !done.has(id));
    if (stuck.length > 0)
      throw new InputError(
        direction === 'down' ? 'after' : 'after, going back',
        circleAmong(stuck, waits),
        'no circle',
      );
  }
}

/** One circle among things that all wait, from thing to thing. */
function circleAmong(stuck: readonly string[], waits: ReadonlyMap<string, string[][]>): string {
  const trail: string[] = [];
  let at = stuck[0]!;
  while (!trail.includes(at)) {
    trail.push(at);
    at = (waits.get(at) ?? []).flat().find((id) => stuck.includes(id)) ?? at;
  }
  return [...trail.slice(trail.indexOf(at)), at].join(' → ');
}
