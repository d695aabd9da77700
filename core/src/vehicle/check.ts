import { InputError } from '../errors/index.ts';
import { checkShape, trappedFuel } from '../shape/index.ts';
import type { Range, VehicleFile, Way } from './types.ts';

/**
 * Checks the sense of a vehicle file whose structure already fits the schema: ranges in rising order, places inside
 * the tank, unique ids, `after` that names something and does not go in a circle.
 *
 * @throws InputError for the first thing that is wrong, with its path
 * @example checkVehicle(archetypes[0])
 */
export function checkVehicle(file: VehicleFile): void {
  if (file.clear % 5 !== 0 || file.clear <= 0)
    throw new InputError('clear', String(file.clear), 'a multiple of 5 mm above zero');
  const known = new Set<string>();
  const after = new Map<string, string[]>();
  const add = (id: string, path: string, ways: Way[]) => {
    if (known.has(id)) throw new InputError(`${path}.id`, id, 'an id used only once');
    known.add(id);
    ways.forEach((way, i) => checkWay(way, `${path}.ways[${i}]`));
    after.set(id, [...new Set(ways.flatMap((way) => way.after))]);
  };
  file.connections.forEach((line, i) => {
    const path = `connections[${i}]`;
    if (line.x < 0 || line.x > file.length)
      throw new InputError(`${path}.x`, String(line.x), `a place between 0 and ${file.length} mm`);
    checkRange(line.slack, `${path}.slack`, 0);
    checkRange(line.visibleFrom, `${path}.visibleFrom`, 0);
    if (line.part.length === 0) throw new InputError(`${path}.part`, '', 'at least one place where it parts');
    if (line.make.length === 0) throw new InputError(`${path}.make`, '', 'at least one place where it is made');
    add(line.id, path, line.part);
    line.make.forEach((way, k) => checkWay(way, `${path}.make[${k}]`));
    for (const clip of line.clips) {
      checkRange(clip.slack, `${path}.clips.${clip.id}.slack`, 0);
      if (clip.slack.lo < line.slack.lo)
        throw new InputError(
          `${path}.clips.${clip.id}.slack`,
          String(clip.slack.lo),
          'no less slack than with the clip on',
        );
      add(clip.id, `${path}.clips.${clip.id}`, clip.ways);
    }
  });
  file.obstructions.forEach((thing, i) => {
    if (thing.blocksAt) checkRange(thing.blocksAt, `obstructions[${i}].blocksAt`, 0);
    add(thing.id, `obstructions[${i}]`, thing.clear);
  });
  checkRange(file.tank.litres, 'tank.litres', 0);
  checkRange(file.tank.emptyMass, 'tank.emptyMass', 0);
  checkRange(file.tank.unusable, 'tank.unusable', 0);
  checkTank(file.tank);
  for (const fastener of file.fasteners)
    if (!Number.isInteger(fastener.count) || fastener.count < 1)
      throw new InputError(`fasteners.${fastener.id}.count`, String(fastener.count), 'a whole number from 1');
  for (const support of file.supports)
    if (!file.fasteners.some((f) => f.id === support.fastener))
      throw new InputError(`supports.${support.id}.fastener`, support.fastener, 'the id of a fastener in this file');
  const has = new Set([...known, ...file.supports.map((s) => s.id)]);
  for (const variant of file.variants ?? []) {
    if (variant.choices.length < 2)
      throw new InputError(`variants.${variant.id}.choices`, String(variant.choices.length), 'at least two choices');
    for (const other of variant.choices.flatMap((c) => c.without))
      if (!has.has(other)) throw new InputError(`variants.${variant.id}`, other, 'the id of a thing in this file');
  }
  for (const [id, list] of after)
    for (const other of list)
      if (!known.has(other))
        throw new InputError(`${id}.after`, other, 'the id of a connection, clip or obstruction in this file');
  checkCircle(after);
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

function checkWay(way: Way, path: string): void {
  checkRange(way.reachFrom, `${path}.reachFrom`, 0);
  checkRange(way.reachTo, `${path}.reachTo`, 0);
  checkRange(way.minutes, `${path}.minutes`, 0);
  if (way.reachFrom.typ > way.reachTo.typ)
    throw new InputError(
      `${path}.reachTo`,
      `${way.reachFrom.typ} to ${way.reachTo.typ}`,
      'a reach that ends lower than it begins',
    );
}

function checkCircle(after: Map<string, string[]>): void {
  const done = new Set<string>();
  const visit = (id: string, trail: string[]): void => {
    if (trail.includes(id))
      throw new InputError('after', [...trail.slice(trail.indexOf(id)), id].join(' → '), 'no circle');
    if (done.has(id)) return;
    for (const next of after.get(id) ?? []) visit(next, [...trail, id]);
    done.add(id);
  };
  for (const id of after.keys()) visit(id, []);
}
