import { seeded } from '../../truth/index.ts';
import { solve } from '../index.ts';
import type { RouteModel } from '../types.ts';
import seeds from './seeds.json' with { type: 'json' };
import { randomModel, type Size } from './randomModel.ts';

const kept: Readonly<Record<string, number[]>> = seeds;

/** The same model with the tank kept level. */
export const level = (model: RouteModel): RouteModel => ({ ...model, tilt: { second: 0, first: 0 } });

/** Looks for them: of a hundred random models few have a way only by tilting. */
function found(size: Size, { count, seed }: { count: number; seed: number }): number[] {
  const list: number[] = [];
  for (let n = seed; list.length < count; n++) {
    const model = randomModel(seeded(n), size);
    const needsTilt = () => solve(level(model)).route === null && solve(model).route !== null;
    if (list.length % 2 === 0 || needsTilt()) list.push(n);
  }
  return list;
}

/**
 * Random models, every second one with no way unless it tilts; whoever uses them tries both halves out. Looking for them takes twenty times
 * what solving them does, so their seeds are kept: after a change of `randomModel`, `SEEDS=find npm run jest -- core/src/route` prints them anew.
 */
export function halfNeedTilt(of: string, size: Size, draw: { count: number; seed: number }): RouteModel[] {
  const had = process.env.SEEDS === 'find' ? [] : (kept[of] ?? []);
  const list = had.length < draw.count ? found(size, draw) : had.slice(0, draw.count);
  if (list.length > had.length) console.info(`"${of}": ${JSON.stringify(list)}`);
  return list.map((n) => randomModel(seeded(n), size));
}
