import { seeded } from '../../truth/index.ts';
import { solve } from '../index.ts';
import type { RouteModel } from '../types.ts';
import kept from './seeds.json' with { type: 'json' };
import { randomModel, type Size } from './randomModel.ts';

/** The same model with the tank kept level. */
export const level = (model: RouteModel): RouteModel => ({ ...model, tilt: { second: 0, first: 0 } });

/** Looks for them: of a hundred random models few have a way only by tilting. */
function found(size: Size, { count, seed }: { count: number; seed: number }): number[] {
  const seeds: number[] = [];
  for (let n = seed; seeds.length < count; n++) {
    const model = randomModel(seeded(n), size);
    const needsTilt = () => solve(level(model)).route === null && solve(model).route !== null;
    if (seeds.length % 2 === 0 || needsTilt()) seeds.push(n);
  }
  return seeds;
}

/**
 * Random models, every second one with no way unless it tilts; whoever uses them tries both halves out. Looking for them takes twenty times
 * what solving them does, so their seeds are kept: after a change of `randomModel`, `SEEDS=find npm run jest -- core/src/route` prints them anew.
 */
export function halfNeedTilt(of: keyof typeof kept, size: Size, draw: { count: number; seed: number }): RouteModel[] {
  const here = process.env.SEEDS === 'find' ? found(size, draw) : kept[of];
  if (process.env.SEEDS === 'find') console.info(`"${of}": ${JSON.stringify(here)}`);
  const seeds = here.length < draw.count ? found(size, draw) : here.slice(0, draw.count);
  return seeds.map((n) => randomModel(seeded(n), size));
}
