import { computed, type Basis } from '../basis/index.ts';
import { InputError } from '../errors/index.ts';

/** A place in the upright plane of a line, mm: along, and up. */
export type Place = readonly [number, number];

/** A line laid out with a string: where it is held, where it ends, what it runs over. */
export interface StringLine {
  /** The last clip that holds it. */
  clip: Place;
  /** Where it sits on the tank, at home. */
  port: Place;
  /** Length of line between the two, mm. */
  free: number;
  /** Rails it runs over, from the clip to the port. */
  over?: readonly Place[];
}

/** What a string says of a line. */
export interface StringSlack {
  /** Drop of the port at which the line pulls tight, mm. */
  slack: number;
  /** The last rail it touches then, or the clip. */
  turnsAt: Place;
  /** Worked out from the string. */
  basis: Basis;
}

/**
 * Length of a line pulled taut from its clip over its rails to a place, each rail passed on its upper side.
 *
 * @example tautLength({ clip: [0, 100], port: [300, 100], free: 350 }, [300, 0]) // √(300² + 100²) = 316.2
 */
export function tautLength(line: Pick<StringLine, 'clip' | 'over'>, to: Place): number {
  return taut(line, to).length;
}

/** The taut path is the upper hull of clip, rails and port: a rail below the straight way does not touch it. */
function taut({ clip, over = [] }: Pick<StringLine, 'clip' | 'over'>, to: Place): { length: number; corners: Place[] } {
  const way = to[0] >= clip[0] ? 1 : -1;
  const rails = over
    .filter((r) => (r[0] - clip[0]) * way > 0 && (to[0] - r[0]) * way >= 0)
    .sort((a, b) => (a[0] - b[0]) * way || b[1] - a[1]);
  const corners: Place[] = [clip];
  for (const next of [...rails, to]) {
    while (corners.length > 1 && below({ a: corners.at(-2)!, b: corners.at(-1)!, c: next, way })) corners.pop();
    corners.push(next);
  }
  let length = 0;
  for (let i = 1; i < corners.length; i++)
    length += Math.hypot(corners[i]![0] - corners[i - 1]![0], corners[i]![1] - corners[i - 1]![1]);
  return { length, corners };
}

/** Does the middle one of three lie on or below the straight way between the others? */
const below = ({ a, b, c, way }: { a: Place; b: Place; c: Place; way: number }): boolean =>
  ((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) * way >= 0;

/**
 * Slack of a line from a string laid where it runs: the drop of its port at which the taut path is as long as the line.
 * With A the last rail touched and s the path to A: slack = z_port − z_A + √((free − s)² − Δx²). Stiffness is left out.
 *
 * @throws InputError for a line that is shorter than its path already at home
 * @example slackFromString({ clip: [0, 100], port: [300, 100], free: 350 }).slack // 180.28
 */
export function slackFromString(line: StringLine): StringSlack {
  const { clip, port, free, over = [] } = line;
  for (const [field, place] of [['clip', clip], ['port', port], ...over.map((r, i) => [`rail ${i + 1}`, r])] as const)
    if (!(place as Place).every(Number.isFinite))
      throw new InputError(String(field), String(place), 'two lengths in mm');
  if (!(free > 0)) throw new InputError('free length', String(free), 'a length above zero');
  const home = taut(line, port).length;
  if (home > free + 1e-9)
    throw new InputError(
      'free length',
      `${free} mm`,
      `at least the ${Math.ceil(home)} mm of the path it takes at home`,
    );
  // Taut length grows with the drop once the port is below its last rail, and is convex: halving is safe.
  const at = (drop: number): Place => [port[0], port[1] - drop];
  let [lo, hi] = [0, free + Math.abs(port[1]) + Math.abs(clip[1]) + 1];
  // On the way down past a high port the path may first shorten; what counts is the last drop that still fits.
  for (let i = 0; i < 200; i++) {
    const mid = (lo + hi) / 2;
    if (taut(line, at(mid)).length <= free) lo = mid;
    else hi = mid;
  }
  return {
    slack: lo,
    turnsAt: taut(line, at(lo)).corners.at(-2)!,
    basis: computed('taut path from clip over rails to port'),
  };
}

/**
 * The same once a clip is released: the line laid behind it comes free, and the clip before it holds. Slack never shrinks.
 *
 * @param laid length between the two clips, mm
 * @example slackReleased(line, [-150, 100], 152).slack // 131.99
 */
export function slackReleased(line: StringLine, clipBefore: Place, laid: number): StringSlack {
  if (!(laid >= 0)) throw new InputError('laid length', String(laid), 'zero or more mm');
  const before = slackFromString(line);
  const after = slackFromString({ ...line, clip: clipBefore, free: line.free + laid });
  return after.slack >= before.slack ? after : before;
}
