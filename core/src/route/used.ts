import { present } from '../errors/index.ts';
import type { RouteModel, RouteStop, RouteThing, RouteWay } from './types.ts';

/**
 * The thing and the way that a stop of a route names.
 *
 * @throws InputError where the model has no such thing or way
 * @example usedWay(model, { thing: 'line:feed', way: 'top' }).way.from // 40
 */
export function usedWay(model: RouteModel, use: RouteStop['uses'][number]): { thing: RouteThing; way: RouteWay } {
  const thing = present(
    model.things.find((t) => t.id === use.thing),
    'thing',
    use.thing,
  );
  return {
    thing,
    way: present(
      thing.ways.find((w) => w.id === use.way),
      'way',
      use.way,
    ),
  };
}
