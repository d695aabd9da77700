import { GRID } from '../pose/index.ts';
import type { RouteModel } from './types.ts';

/**
 * All tilts (second end minus first, mm) that are allowed, the level ones first.
 *
 * @example tilts({ tilt: { first: 5, second: 10 }, clear: 200 }) // [0, 5, -5, 10]
 */
export function tilts({ tilt, clear }: Pick<RouteModel, 'tilt' | 'clear'>): number[] {
  const most = (mm: number) => Math.floor(Math.min(mm, clear) / GRID) * GRID;
  const list = [0];
  for (let t = GRID; t <= Math.max(most(tilt.second), most(tilt.first)); t += GRID) {
    if (t <= most(tilt.second)) list.push(t);
    if (t <= most(tilt.first)) list.push(-t);
  }
  return list;
}
