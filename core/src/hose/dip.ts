import { InputError } from '../errors/index.ts';

/** A hose seen from the side: mm along, mm up, from one end to the other. */
export type RoutePoint = readonly [number, number];

/** A low place between two higher ones. */
export interface Dip {
  /** Where its lowest point lies, mm along and up. */
  at: RoutePoint;
  /** mm from its lower sill down to its lowest point, middle of the bore. */
  depth: number;
  /** Does liquid in it shut the bore? */
  shut: boolean;
  /** mL that shut it; null where it never shuts. */
  shutsAt: number | null;
  /** mL that stay in it for good. */
  stays: number;
  /** mm up to which it stands, and between which places along. */
  level: number;
  /** mm along. */
  between: readonly [number, number];
}

/** Steps along the middle line, mm. */
const STEP = 1;

/**
 * Dips of a hose: liquid that gets in stands up to the lower sill's invert. Shut once it can reach the crown, where the lower sill lies a
 * bore and more above the lowest point. What stays is integrated along the hose, cross-section by cross-section.
 *
 * @param bore mm
 * @throws InputError for no route, or one that runs through itself
 * @example dipsOf([[0, 100], [200, 0], [400, 100]], 19)[0]?.shut // true
 */
export function dipsOf(route: readonly RoutePoint[], bore: number): Dip[] {
  checkRoute(route, bore);
  return dipsAlong(route, bore);
}

/**
 * The same along a line that was made from a route that was looked at already: its points may lie as close as they like.
 *
 * @example dipsAlong(asItRuns(route), 19)
 */
export function dipsAlong(middle: readonly RoutePoint[], bore: number): Dip[] {
  const line = along(middle);
  const heights = line.map(({ z }) => z);
  const left = running(heights);
  const right = running([...heights].reverse()).reverse();
  const dips: Dip[] = [];
  for (let i = 0; i < line.length; i++) {
    const level = Math.min(left[i]!, right[i]!);
    if (level <= heights[i]!) continue;
    let end = i;
    while (end + 1 < line.length && Math.min(left[end + 1]!, right[end + 1]!) > heights[end + 1]!) end += 1;
    const part = line.slice(Math.max(0, i - 1), Math.min(line.length, end + 2));
    dips.push(dipIn(part, level, bore));
    i = end;
  }
  return dips;
}

function dipIn(part: readonly Station[], sill: number, bore: number): Dip {
  const lowest = part.reduce((a, b) => (b.z < a.z ? b : a));
  const depth = sill - lowest.z;
  const shut = depth >= bore;
  return {
    at: [lowest.x, lowest.z],
    depth,
    shut,
    shutsAt: shut ? below(part, lowest.z + bore / 2, bore) : null,
    stays: below(part, sill - bore / 2, bore),
    level: sill - bore / 2,
    between: [Math.min(...part.map(({ x }) => x)), Math.max(...part.map(({ x }) => x))],
  };
}

/** A place on the middle line. */
interface Station {
  x: number;
  z: number;
  /** mm of hose that it stands for. */
  ds: number;
  /** Share of a mm across the bore that is upright there. */
  upright: number;
}

/** The middle line in even steps. */
function along(route: readonly RoutePoint[]): Station[] {
  return route.slice(1).flatMap(([x2, z2], i) => {
    const [x1, z1] = route[i]!;
    const length = Math.hypot(x2 - x1, z2 - z1);
    if (length === 0) return [];
    const steps = Math.max(1, Math.round(length / STEP));
    const upright = Math.abs(x2 - x1) / length;
    return Array.from({ length: steps }, (_, k) => {
      const t = (k + 0.5) / steps;
      return { x: x1 + (x2 - x1) * t, z: z1 + (z2 - z1) * t, ds: length / steps, upright };
    });
  });
}

/** Highest so far, place by place. */
const running = (heights: readonly number[]): number[] => {
  let most = -Infinity;
  return heights.map((z) => (most = Math.max(most, z)));
};

/** mL of the bore below a level. */
function below(part: readonly Station[], level: number, bore: number): number {
  const r = bore / 2;
  const cubic = part.reduce((sum, { z, ds, upright }) => {
    // How far across the bore the liquid comes, from its middle; in a steep stretch all or nothing.
    const across = upright < 1e-6 ? (level > z ? r : -r) : (level - z) / upright;
    return sum + segment(r, across) * ds;
  }, 0);
  return cubic / 1000;
}

/** Area of a circle below a chord, mm². */
function segment(r: number, across: number): number {
  if (across <= -r) return 0;
  if (across >= r) return Math.PI * r * r;
  return r * r * Math.acos(-across / r) + across * Math.sqrt(r * r - across * across);
}

function checkRoute(route: readonly RoutePoint[], bore: number): void {
  if (!(bore >= 2 && bore <= 80)) throw new InputError('bore', String(bore), '2 to 80 mm');
  if (route.length < 2) throw new InputError('route', `${route.length} points`, 'two ends, and points between them');
  route.forEach(([x, z], i) => {
    if (!Number.isFinite(x) || !Number.isFinite(z))
      throw new InputError(`route[${i}]`, `${x}, ${z}`, 'mm along and mm up');
    const before = route[i - 1];
    if (before && Math.hypot(x - before[0], z - before[1]) < 1)
      throw new InputError(`route[${i}]`, `${x}, ${z}`, 'a place a millimetre and more from the one before');
  });
  for (let i = 1; i < route.length; i++)
    for (let k = i + 2; k < route.length; k++)
      if (cross([route[i - 1]!, route[i]!], [route[k - 1]!, route[k]!]))
        throw new InputError(
          `route[${k}]`,
          `${route[k]![0]}, ${route[k]![1]}`,
          'a way that does not run through itself',
        );
}

type Leg = readonly [RoutePoint, RoutePoint];

/** Do two legs cross? */
function cross([a, b]: Leg, [c, d]: Leg): boolean {
  const side = (p: RoutePoint, q: RoutePoint, s: RoutePoint) =>
    Math.sign((q[0] - p[0]) * (s[1] - p[1]) - (q[1] - p[1]) * (s[0] - p[0]));
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}
