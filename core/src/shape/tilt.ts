import { InputError } from '../errors/index.ts';
import { LITRE, surfaceAt } from './contents.ts';
import { solidOf } from './solid.ts';
import { cellAt, trappedVolume } from './trapped.ts';
import { noTilt as flat, upOf, type Point3, type TankShape, type Tilt } from './types.ts';

/** The tilt that lets most of the fuel out. */
export interface BestTilt {
  /** Degrees both ways. */
  tilt: Tilt;
  /** Litres that stay then, and those that stay level. */
  stays: number;
  /** Litres that stay level. */
  level: number;
}

/**
 * The one tilt within reach that frees most; of equals the smallest. Degree by degree over the whole reach, then halved
 * steps around the best ones.
 *
 * @param reach degrees either way along the ends (x) and across (y)
 * @param progress told a share from 0 to 1
 * @throws InputError as `trappedFuel`
 * @example bestTilt(lobes, { outlet: [100, 200, 10], reach: { x: 6, y: 6 } }).tilt // the far lobe up, so that it runs over the hump
 */
export function bestTilt(
  shape: TankShape,
  { outlet, reach, progress = () => undefined }: { outlet: Point3; reach: Tilt; progress?: (share: number) => void },
): BestTilt {
  if (shape.kind === 'table')
    throw new InputError('shape', 'a level table', 'a shape: a table does not know where fuel stays');
  const solid = solidOf(shape);
  const start = cellAt(solid, outlet);
  const at = (x: number, y: number) => trappedVolume(solid, { start, outlet, up: upOf({ x, y }) });
  // A tenth of a litre is not worth a degree more: nobody jacks a tank for that.
  const price = (x: number, y: number, volume: number) => volume + Math.hypot(x, y) * 1e-3 * LITRE;
  const xs = steps(reach.x);
  const ys = steps(reach.y);
  const found: { x: number; y: number; volume: number; cost: number }[] = [];
  xs.forEach((x, i) => {
    for (const y of ys) {
      const volume = at(x, y);
      found.push({ x, y, volume, cost: price(x, y, volume) });
    }
    progress((i + 1) / xs.length);
  });
  found.sort((a, b) => a.cost - b.cost);
  let best = found[0]!;
  for (const seed of found.slice(0, 3)) {
    let here = seed;
    for (let step = 0.5; step >= 0.05; step /= 2)
      for (const [dx, dy] of [
        [step, 0],
        [-step, 0],
        [0, step],
        [0, -step],
      ] as const) {
        const [x, y] = [here.x + dx, here.y + dy];
        if (Math.abs(x) > reach.x || Math.abs(y) > reach.y) continue;
        const volume = at(x, y);
        const cost = price(x, y, volume);
        if (cost < here.cost) here = { x, y, volume, cost };
      }
    if (here.cost < best.cost) best = here;
  }
  const level = at(0, 0) / LITRE;
  const stays = best.volume / LITRE;
  if (level - stays < 0.05) return { tilt: flat, stays: level, level };
  return { tilt: { x: best.x, y: best.y }, stays, level };
}

function steps(reach: number): number[] {
  if (!(reach >= 0 && reach <= 45)) throw new InputError('reach', String(reach), '0 to 45 degrees');
  const whole = Math.floor(reach);
  const list = Array.from({ length: 2 * whole + 1 }, (_, i) => i - whole);
  return reach > whole ? [-reach, ...list, reach] : list;
}

/**
 * How far a tank may be tipped in a direction until fuel stands at an open port.
 *
 * @param port mm
 * @param direction which way is down: x to the second end, y to the far side
 * @param most degrees looked at
 * @returns degrees; null when it does not reach the port within `most`
 * @example tiltToPort(box, { litres: 40, port: [1000, 200, 200], direction: { x: 1, y: 0 } }) // the angle at which the low end is full to the roof
 */
export function tiltToPort(
  shape: TankShape,
  { litres, port, direction, most = 30 }: { litres: number; port: Point3; direction: Tilt; most?: number },
): number | null {
  const norm = Math.hypot(direction.x, direction.y);
  if (!(norm > 0)) throw new InputError('direction', 'none', 'a direction');
  const over = (degrees: number) => {
    const tilt = { x: (direction.x / norm) * degrees, y: (direction.y / norm) * degrees };
    const up = upOf(tilt);
    return up[0] * port[0] + up[1] * port[1] + up[2] * port[2] - surfaceAt(shape, litres, tilt);
  };
  const step = 0.5;
  for (let at = 0; at <= most; at += step) {
    if (over(at) > 1e-6) continue;
    if (at === 0) return 0;
    let [lo, hi] = [at - step, at];
    for (let i = 0; i < 40; i++) {
      const mid = (lo + hi) / 2;
      if (over(mid) > 1e-6) lo = mid;
      else hi = mid;
    }
    return hi;
  }
  return null;
}
