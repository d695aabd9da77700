import { commonPractice } from '../basis/index.ts';
import { mm, say } from '../quantity/index.ts';
import { verdictFrom, type Found, type Verdict } from '../verdict/index.ts';
import { asItRuns } from './curve.ts';
import { dipsAlong, type RoutePoint } from './dip.ts';
import type { Rubber } from './rubber.ts';
import { judgeRubs, type Rubs } from './rubs.ts';

/** How a hose runs. */
export interface HoseRun {
  /** Is its lowest point below both of its ends? */
  below: boolean;
  /** Drawn from the side, mm; left out: not drawn. */
  route?: readonly RoutePoint[] | undefined;
  /** mm inside. */
  bore?: number | undefined;
  /** Does its other end stand in the open air? */
  openAir?: boolean | undefined;
  /** On what it lies. */
  rubs?: readonly Rubs[] | undefined;
  /** Sleeved, or kept off by a clip? */
  guarded?: boolean | undefined;
}

/** Walls of a fuel hose together, mm: its outside is so much more than its bore. Common practice, no source. */
const WALLS = 6.5;
/** A hose bends to so many times its outside; common practice, no source. */
const BENDS = 6;

/**
 * How a hose runs: a low place that liquid shuts is a halt where it has to breathe; an open-air vent rises over a high loop first; bends no
 * tighter than six times its outside.
 *
 * @example judgeRun({ below: true, route, bore: 19 }, rubber).outcome // 'bad': a dip shuts it
 */
export function judgeRun(run: HoseRun, rubber: Pick<Rubber, 'breathes'>): Verdict {
  const basis = commonPractice;
  const rubs = judgeRubs({ rubs: run.rubs ?? [], guarded: run.guarded ?? false });
  const falls = fallsOf(run, rubber);
  if (rubs.length === 0) return falls;
  const [why] = falls.reasons;
  const next = falls.next[0];
  return verdictFrom([...rubs, ...(why ? [{ outcome: falls.outcome, ...why, ...(next ? { next } : {}) }] : [])], {
    basis,
  });
}

/** How it falls and bends. */
function fallsOf(run: HoseRun, { breathes }: Pick<Rubber, 'breathes'>): Verdict {
  const basis = commonPractice;
  const { route, bore } = run;
  if (!run.below && !route)
    return { outcome: 'good', reasons: [{ text: 'it falls all the way, no low place in it', basis }], next: [] };
  if (!route || bore === undefined)
    return breathes
      ? {
          outcome: 'unknown',
          reasons: [{ text: 'a low place below both ends, and not drawn', basis }],
          next: ['a string along it and a photo from the side: draw it from that'],
        }
      : { outcome: 'good', reasons: [{ text: 'a low place: nothing against it where fuel runs', basis }], next: [] };
  const line = asItRuns(route);
  const dips = dipsAlong(line, bore);
  const found: Found[] = dips.map((dip) => {
    const at = `${Math.round(dip.at[0])} mm along`;
    const figure = `${millilitres(dip.stays)} stay${dip.shutsAt === null ? '' : `, ${millilitres(dip.shutsAt)} shut it`}`;
    const limit = say`${mm(dip.depth, dip.depth)} deep, bore ${mm(bore, bore)}`;
    if (!breathes) return { outcome: 'good', text: `a low place ${at}`, figure, limit };
    return dip.shut
      ? {
          outcome: 'bad',
          text: `a dip ${at}: what gathers there shuts it`,
          figure,
          limit,
          next: say`raise it there by ${mm(dip.depth, dip.depth)}, or shorten it, until it falls all the way`,
        }
      : {
          outcome: 'doubtful',
          text: `a dip ${at}: liquid lies in it`,
          figure,
          limit,
          next: 'tie it up: it has to fall all the way',
        };
  });
  if (run.openAir && breathes) {
    const [start, end] = [route[0]![1], route.at(-1)![1]];
    const top = Math.max(...route.map(([, z]) => z));
    if (top < Math.max(start, end) + bore)
      found.push({
        outcome: 'bad',
        text: 'an open-air vent without a high loop: it spills when the tank is full on a slope',
        next: 'up over the highest point of the tank first, then down and out',
      });
  }
  const tight = tightest(line);
  if (tight !== null && tight < BENDS * (bore + WALLS))
    found.push({
      outcome: 'doubtful',
      text: 'a bend tighter than it likes',
      figure: say`${mm(tight, tight)}`,
      limit: say`${mm(BENDS * (bore + WALLS), BENDS * (bore + WALLS))}, six times its outside`,
      next: 'a wider way, or a moulded bend',
    });
  if (found.length === 0) found.push({ outcome: 'good', text: 'it falls all the way, no low place in it' });
  return verdictFrom(found, { basis });
}

const millilitres = (ml: number): string => `${ml < 10 ? Math.round(ml * 10) / 10 : Math.round(ml)} mL`;

/** Radius of the tightest bend, by the circle through each three points; null with no bend. mm */
function tightest(route: readonly RoutePoint[]): number | null {
  let least: number | null = null;
  for (let i = 1; i + 1 < route.length; i++) {
    const [a, b, c] = [route[i - 1]!, route[i]!, route[i + 1]!];
    const sides = [
      Math.hypot(b[0] - a[0], b[1] - a[1]),
      Math.hypot(c[0] - b[0], c[1] - b[1]),
      Math.hypot(c[0] - a[0], c[1] - a[1]),
    ];
    const area = Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1])) / 2;
    if (area < 1e-6) continue;
    const radius = (sides[0]! * sides[1]! * sides[2]!) / (4 * area);
    if (least === null || radius < least) least = radius;
  }
  return least;
}
